import { shopSecret } from '../src/shop/access/secrets';

try {
  shopSecret();
} catch (error) {
  console.error(`✗ ${(error as Error).message}`);
  process.exit(1);
}
