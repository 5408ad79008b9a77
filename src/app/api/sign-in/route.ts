import { answer, jsonBody } from '@/app/answer';
import { SignInDto } from '@/shop/access/dto';
import { SESSION_COOKIE } from '@/shop/access/guard';
import { SESSION_DAYS, signIn } from '@/shop/access/signIn';
import { readDto } from '@/shop/readDto';
import { cookies } from 'next/headers';

export const POST = answer(async (request) => {
  const dto = await readDto(SignInDto, await jsonBody(request));
  const { token } = await signIn(dto, {
    address: request.headers.get('x-forwarded-for')?.split(',')[0]?.trim() ?? '',
    agent: request.headers.get('user-agent') ?? '',
  });
  (await cookies()).set(SESSION_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.headers.get('x-forwarded-proto') === 'https',
    path: '/',
    maxAge: SESSION_DAYS * 86_400,
  });
  return Response.json({ ok: true });
});
