import type { Metadata } from 'next';
import { SignInForm } from '@/ui/signIn/SignInForm';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ next?: string | string[] }> }) {
  const { next } = await searchParams;
  // Only a path of our own is followed, never another site.
  const own = typeof next === 'string' && /^\/(?![/\\])/.test(next) ? next : '/';
  return <SignInForm next={own} />;
}
