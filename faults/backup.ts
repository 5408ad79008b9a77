import { spawnSync } from 'node:child_process';
import { mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
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

const run = (command: string, url: string, file = FILE, more: string[] = [], passphrase?: string) =>
  spawnSync('./gritkeeper', [command, ...more, file], {
    env: { ...process.env, DATABASE_URL: url, ...(passphrase ? { GRITKEEPER_BACKUP_PASSPHRASE: passphrase } : {}) },
    encoding: 'utf8',
  });

const PASSPHRASE = 'twelve letters and more';

/** Sealed, rehearsed, rotated: nobody else reads it, nothing is written over, and the oldest go. */
async function keptWell(stand: Stand): Promise<string> {
  const room = '.gritkeeper/faults-backups';
  rmSync(room, { recursive: true, force: true });
  mkdirSync(room);
  try {
    const sealed = `${room}/sealed`;
    const out = run('backup', stand.url, sealed, ['--seal'], PASSPHRASE);
    expect(out.status === 0, out.stderr);
    expect((statSync(sealed).mode & 0o777) === 0o600, `its mode is ${(statSync(sealed).mode & 0o777).toString(8)}`);
    expect(!readFileSync(sealed).includes('PGDMP'), 'it is not sealed');
    const again = run('backup', stand.url, sealed, ['--seal'], PASSPHRASE);
    expect(again.status !== 0 && again.stderr.includes('over nothing'), 'a backup was written over another');
    const device = run('backup', stand.url, '/dev/null');
    expect(device.status !== 0 && device.stderr.includes('over nothing'), 'a backup was written into a device');
    const rehearsed = run('rehearse', stand.url, sealed, [], PASSPHRASE);
    expect(rehearsed.status === 0 && rehearsed.stderr.includes('can be restored'), rehearsed.stderr);
    expect(run('rehearse', stand.url, sealed, [], 'another passphrase').status !== 0, 'another passphrase opened it');
    const bytes = readFileSync(sealed);
    bytes[bytes.length >> 1]! ^= 1;
    writeFileSync(`${sealed}.changed`, bytes);
    const changed = run('rehearse', stand.url, `${sealed}.changed`, [], PASSPHRASE);
    expect(changed.status !== 0 && changed.stderr.includes('changed'), 'a changed backup was opened');
    for (let day = 1; day <= 3; day++) writeFileSync(`${room}/gritkeeper-2026010${day}-000000.backup`, 'old');
    writeFileSync(`${room}/something else.backup`, 'not ours');
    const rotated = run('backups', stand.url, room, ['--keep', '2']);
    expect(rotated.status === 0, rotated.stderr);
    const left = readdirSync(room)
      .filter((name) => name.startsWith('gritkeeper-'))
      .sort();
    expect(left.length === 2 && left[0] === 'gritkeeper-20260103-000000.backup', `left: ${left.join()}`);
    expect(readdirSync(room).includes('something else.backup'), 'a file of somebody else is gone');
    return /\d+ tables, \d+ rows/.exec(rehearsed.stdout)?.[0] ?? '';
  } finally {
    rmSync(room, { recursive: true, force: true });
  }
}

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
    rmSync(FILE, { force: true });
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
    const rehearsed = await keptWell(stand);
    return `${Object.keys(before).length} tables alike, row by row; sealed, rotated, and rehearsed: ${rehearsed}`;
  } finally {
    await admin.query('drop database if exists gk_restored with (force)');
    await admin.end();
    rmSync(FILE, { force: true });
    rmSync(`${FILE}.bad`, { force: true });
  }
}
