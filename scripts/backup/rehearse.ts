import pg from 'pg';
import { steps } from '../../src/data/migrations';

/** Looks at a restored database as somebody would who depends on it. Prints what is there; ends with 1 when something is not. */
const url = process.argv[2]!;
const client = new pg.Client({ connectionString: url });
await client.connect();
const one = async (sql: string) => (await client.query<{ value: string | null }>(sql)).rows[0]?.value ?? null;
const problems: string[] = [];

const done = (await client.query<{ name: string }>('select name from schema_step order by id')).rows.map((r) => r.name);
const unknown = done.filter((name) => !(name in steps));
if (unknown.length > 0) problems.push(`it was written by a newer version (${unknown.join(', ')})`);
const tables = (
  await client.query<{ name: string }>(
    `select table_name as name from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'`,
  )
).rows.map((r) => r.name);
let rows = 0;
// Every page of every table is read: a row that cannot be is found now and not on the day.
for (const table of tables) rows += Number(await one(`select count(t::text) as value from "${table}" t`));
if (rows === 0) problems.push('there is not one row in it');
const owners = Number(await one(`select count(*) as value from person where role = 'owner' and locked_at is null`));
if (owners === 0) problems.push('there is no owner in it who could sign in');
const bad = Number(
  await one(
    `select count(*) as value from pg_constraint where connamespace = 'public'::regnamespace and not convalidated`,
  ),
);
if (bad > 0) problems.push(`${bad} rules do not hold`);
const pictures = Number(
  await one('select count(*) as value from photograph where length(bytes) > 0 or removed_at is not null'),
);
const allPictures = Number(await one('select count(*) as value from photograph'));
if (pictures < allPictures) problems.push(`${allPictures - pictures} photographs are empty`);
const last = await one(`select to_char(max(at), 'YYYY-MM-DD HH24:MI') as value from timeline`);
await client.end();

console.log(`  ${tables.length} tables, ${rows} rows, all of them read; ${allPictures} photographs; ${owners} owners`);
console.log(`  written by schema step ${done.at(-1)}; the last thing in the book is of ${last ?? 'never'} (UTC)`);
for (const problem of problems) console.error(`✗ ${problem}`);
process.exit(problems.length > 0 ? 1 : 0);
