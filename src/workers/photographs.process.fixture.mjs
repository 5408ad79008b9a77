// Processes do not inherit a loader that reads TypeScript: it is asked for here.
import { tsImport } from 'tsx/esm/api';

await tsImport('./photographs.process.ts', import.meta.url);
