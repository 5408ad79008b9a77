import { cookies } from 'next/headers';
import { answer, jsonBody } from '@/app/answer';
import { addressOf } from '@/app/addressOf';
import { SignInDto } from '@/shop/access/dto';
import { BROWSER_COOKIE, SESSION_COOKIE } from '@/shop/access/guard';
import { SESSION_DAYS, signIn } from '@/shop/access/signIn';
import { readDto } from '@/shop/readDto';

const DAY_S = 86_400;
/** A browser that nobody used for so long is a stranger again. */
const BROWSER_DAYS = 365;

export const POST = answer(async (request) => {
  const dto = await readDto(SignInDto, await jsonBody(request));
  const jar = await cookies();
  const { token, browser } = await signIn(dto, {
    address: addressOf(request),
    agent: request.headers.get('user-agent') ?? '',
    browser: jar.get(BROWSER_COOKIE)?.value,
  });
  const kept = {
    httpOnly: true,
    sameSite: 'lax',
    secure: request.headers.get('x-forwarded-proto') === 'https',
    path: '/',
  } as const;
  jar.set(SESSION_COOKIE, token, { ...kept, maxAge: SESSION_DAYS * DAY_S });
  jar.set(BROWSER_COOKIE, browser, { ...kept, path: '/api/sign-in', maxAge: BROWSER_DAYS * DAY_S });
  return Response.json({ ok: true });
});
