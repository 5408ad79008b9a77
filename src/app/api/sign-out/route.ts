import { answer } from '@/app/answer';
import { SESSION_COOKIE } from '@/shop/access/guard';
import { signOut } from '@/shop/access/signIn';
import { cookies } from 'next/headers';

export const POST = answer(async () => {
  const jar = await cookies();
  const token = jar.get(SESSION_COOKIE)?.value;
  if (token) await signOut(token);
  jar.delete(SESSION_COOKIE);
  return Response.json({ ok: true });
});
