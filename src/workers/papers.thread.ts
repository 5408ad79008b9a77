import { threadTasks } from '@/shop/papers/paperTasks';

/** Papers, files of rows and gauges in a thread of the server. */
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
} = threadTasks;
