// Threads do not inherit a loader that reads TypeScript: it is asked for here.
import { tsImport } from 'tsx/esm/api';

export const { reckon, foretell } = await tsImport('./finder.thread.ts', import.meta.url);
