// Threads do not inherit the loader that reads TypeScript: it is asked for here.
import { tsImport } from 'tsx/esm/api';

await tsImport('./courseWorker.ts', import.meta.url);
