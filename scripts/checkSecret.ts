import { checkEnvironment } from '../src/environment';

try {
  checkEnvironment();
} catch (error) {
  console.error(`✗ ${(error as Error).message}`);
  process.exit(1);
}
