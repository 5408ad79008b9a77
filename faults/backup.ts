import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import pg from 'pg';
import { expect, type Stand } from './stand';

const FILE = '.gritkeeper/faults.backup';

/** Every row of every table as one sum, so that two databases can be compared. */
async function sums(url: string): Promise<Record<string, string>> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query<{ name: string }>(
    `select table_name as name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  const result: Record<string, string> = {};
  for (const { name } of rows) {
    const { rows: sum } = await client.query<{ sum: string }>(
      `select count(*) || ' ' || coalesce(md5(string_agg(line, '|' order by line)), '') as sum from (select t::text as line from "${name}" t) x`,
    );
    result[name] = sum[0]!.sum;
  }
  await client.end();
  return result;
}

const run = (command: string, url: string, file = FILE) =>
  spawnSync('./gritkeeper', [command, file], { env: { ...process.env, DATABASE_URL: url }, encoding: 'utf8' });

/** What was written into one file stands in an empty database as it stood here, row by row, photographs too. */
export async function backupAndRestore(stand: Stand): Promise<string> {
  const empty = stand.url.replace('gk_faults', 'gk_restored');
  const admin = new pg.Client({ connectionString: stand.url });
  await admin.connect();
  await admin.query('drop database if exists gk_restored with (force)');
  await admin.query('create database gk_restored');
  try {
    const before = await sums(stand.url);
    expect(Number(before.photograph!.split(' ')[0]) > 0, 'there is no photograph to back up');
    const out = run('backup', stand.url);
    expect(out.status === 0, out.stderr);
    const into = run('restore', empty);
    expect(into.status === 0, into.stderr);
    const after = await sums(empty);
    const differ = Object.keys(before).filter((t) => before[t] !== after[t]);
    expect(differ.length === 0, `differs after the restore: ${differ.join(', ')}`);
    const again = run('restore', empty);
    expect(again.status !== 0 && again.stderr.includes('not empty'), 'it was restored over data');
    writeFileSync(`${FILE}.bad`, 'no backup');
    const bad = run('restore', empty, `${FILE}.bad`);
    expect(bad.status !== 0 && bad.stderr.includes('no backup of ours'), 'it took a file that is none');
    // The book still cannot be rewritten, and a newer row still gets a number of its own.
    const client = new pg.Client({ connectionString: empty });
    await client.connect();
    const refused = await client.query('delete from audit').then(
      () => false,
      () => true,
    );
    await client.query(`insert into customer (name) values ('After the restore')`);
    await client.end();
    expect(refused, 'the restored audit can be changed');
    return `${Object.keys(before).length} tables alike, row by row`;
  } finally {
    await admin.query('drop database if exists gk_restored with (force)');
    await admin.end();
    rmSync(FILE, { force: true });
    rmSync(`${FILE}.bad`, { force: true });
  }
}
