import { turnsAt, worthOf } from '@/core/money/worth';
import type { WorthAsked, WorthTold } from '@/core/money/worthAsked';

/** Lives are drawn off the interface’s thread: progress now and then, and the answer. Cancelling is ending the worker. */
self.onmessage = ({ data: { ways, doubt } }: MessageEvent<WorthAsked>) => {
  let told = 0;
  const worth = worthOf(ways, {
    onProgress: (done) => {
      const now = performance.now();
      if (now - told < 50) return;
      told = now;
      self.postMessage({ progress: done });
    },
  });
  const others = ways.filter((w) => w.id === 'used' || w.id === 'new');
  const turnsAtYears = doubt === null || ways.length === 0 ? null : turnsAt(ways[0]!, others, doubt);
  self.postMessage({ told: { worth, turnsAtYears } satisfies WorthTold });
};
