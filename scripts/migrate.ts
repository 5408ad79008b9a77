import { connect, migrate } from '../src/data/database';
import { databaseUrl } from '../src/environment';

// A change of the schema may take as long as it takes.
const db = connect(databaseUrl(), { patient: true });
await migrate(db);
await db.destroy();
