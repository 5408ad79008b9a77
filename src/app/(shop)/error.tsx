'use client';

import { Trouble } from '@/ui/parts/Trouble';

export default function ShopError({ error, reset }: { error: Error & { digest?: string }; reset: () => void }) {
  return <Trouble digest={error.digest ?? ''} onRetry={reset} />;
}
