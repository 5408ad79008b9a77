import { useRouter } from 'next/navigation';
import { useMemo, useTransition } from 'react';
import { useUnderway } from './underway';

/** The router, for what leads on without a link; the frame says when the page takes its time. */
export function useGo(): { push: (href: string) => void; replace: (href: string) => void } {
  const router = useRouter();
  const [going, start] = useTransition();
  useUnderway(going);
  return useMemo(
    () => ({
      push: (href) => start(() => router.push(href)),
      replace: (href) => start(() => router.replace(href)),
    }),
    [router, start],
  );
}
