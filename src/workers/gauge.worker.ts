import { gaugeById } from '@/core/gauges/catalogue';
import { reckon } from '@/core/gauges/reckon';
import type { RawValues } from '@/core/gauges/fields';
import type { Surroundings } from '@/core/gauges/gauge';

/** One gauge off the interface's thread: progress now and then, and the answer. Cancelling is ending the worker. */
self.onmessage = ({ data }: MessageEvent<{ gauge: string; raw: RawValues; around: Surroundings }>) => {
  let told = 0;
  const progress = (done: number) => {
    const now = performance.now();
    if (now - told < 50) return;
    told = now;
    self.postMessage({ progress: done });
  };
  self.postMessage({ reckoned: reckon(gaugeById(data.gauge)!, data.raw, { ...data.around, progress }) });
};
