import { database, migrate } from '../src/data/database';

await migrate(database());
await database().destroy();
