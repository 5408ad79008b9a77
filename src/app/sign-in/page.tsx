import type { Metadata } from 'next';
import { ownPath } from '@/shop/ownPath';
import { SignInForm } from '@/ui/signIn/SignInForm';

export const metadata: Metadata = { title: 'Sign in' };

export default async function SignInPage({ searchParams }: { searchParams: Promise<{ next?: string | string[] }> }) {
  const { next } = await searchParams;
  return <SignInForm next={ownPath(next)} />;
}
