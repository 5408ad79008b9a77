// Threads do not inherit a loader that reads TypeScript: it is asked for here.
import { tsImport } from 'tsx/esm/api';

export const {
  bookPaper,
  bundleWithin,
  documentPaper,
  fitLives,
  lettersPaper,
  readCsv,
  readCards,
  reckonGauge,
  reportPaper,
} = await tsImport('./papers.thread.ts', import.meta.url);
