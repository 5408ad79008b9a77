// Threads do not inherit a loader that reads TypeScript: it is asked for here.
import { tsImport } from 'tsx/esm/api';

export const { bookPaper, bundleWithin, documentPaper, readCsv, readCards, reckonGauge } = await tsImport(
  './papers.thread.ts',
  import.meta.url,
);
