import { writeFileSync } from 'node:fs';
import { database } from '../src/data/database';
import { freshDemoToken, writeDemoShop } from '../src/demo/writeDemoShop';

const db = database();
const made = await writeDemoShop(db);
if (made)
  console.error(
    `· ${made.customers} customers, ${made.machines} machines, ${made.jobs} past jobs, ${made.open} open jobs`,
  );
const tokenFile = process.argv[2];
if (tokenFile) writeFileSync(tokenFile, await freshDemoToken(db), { mode: 0o600 });
await db.destroy();
