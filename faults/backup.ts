import { spawnSync } from 'node:child_process';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
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

const runWith = (env: Record<string, string>, command: string, url: string, file: string, more: string[] = []) =>
  spawnSync('./gritkeeper', [command, ...more, file], {
    env: { ...process.env, DATABASE_URL: url, ...env },
    encoding: 'utf8',
  });
const run = (command: string, url: string, file = FILE, more: string[] = [], passphrase?: string) =>
  runWith(passphrase ? { GRITKEEPER_BACKUP_PASSPHRASE: passphrase } : {}, command, url, file, more);

/** What is needed to seal for somebody, and what to open it again; null where the tool is not installed. */
const RECIPIENTS: Record<
  string,
  (room: string) => { seal: Record<string, string>; open: Record<string, string> } | null
> = {
  age(room) {
    const made = spawnSync('age-keygen', ['-o', `${room}/key`], { encoding: 'utf8' });
    if (made.status !== 0) return null;
    const recipient = /^# public key: (\S+)$/m.exec(readFileSync(`${room}/key`, 'utf8'))![1]!;
    return { seal: { GRITKEEPER_BACKUP_RECIPIENT: recipient }, open: { GRITKEEPER_BACKUP_IDENTITY: `${room}/key` } };
  },
  gpg(room) {
    // The name of a socket in it may not be long.
    const home = mkdtempSync(join(tmpdir(), 'gk-'));
    writeFileSync(`${room}/home`, home);
    const who = 'owner@shop.invalid';
    const key = ['--batch', '--quiet', '--passphrase', '', '--quick-generate-key', who, 'future-default'];
    if (spawnSync('gpg', key, { env: { ...process.env, GNUPGHOME: home } }).status !== 0) return null;
    return { seal: { GRITKEEPER_BACKUP_RECIPIENT: who, GNUPGHOME: home }, open: { GNUPGHOME: home } };
  },
};

/** Sealed for somebody: opened with their key only. @returns for whom it was tried */
function sealedForSomebody(stand: Stand, room: string): string[] {
  return Object.entries(RECIPIENTS).flatMap(([tool, make]) => {
    mkdirSync(`${room}/${tool}`, { mode: 0o700 });
    const keys = make(`${room}/${tool}`);
    if (!keys) return [];
    const file = `${room}/for-${tool}`;
    const out = runWith(keys.seal, 'backup', stand.url, file, ['--seal']);
    expect(out.status === 0, `${tool}: ${out.stderr}`);
    expect(!readFileSync(file).includes('PGDMP'), `${tool} did not seal it`);
    const rehearsed = runWith(keys.open, 'rehearse', stand.url, file);
    expect(rehearsed.status === 0 && rehearsed.stderr.includes('can be restored'), `${tool}: ${rehearsed.stderr}`);
    const nobody = { GNUPGHOME: `${room}/${tool}`, GRITKEEPER_BACKUP_IDENTITY: '' };
    const shut = runWith(nobody, 'rehearse', stand.url, file);
    expect(shut.status !== 0 && /sealed|could not be opened/.test(shut.stderr), `${tool}: opened without the key`);
    return [tool];
  });
}

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
    const kept = readdirSync(room)
      .filter((name) => name.startsWith('gritkeeper-'))
      .sort();
    expect(kept.length === 2 && kept[0] === 'gritkeeper-20260103-000000.backup', `left: ${kept.join()}`);
    expect(readdirSync(room).includes('something else.backup'), 'a file of somebody else is gone');
    const unknown = runWith(
      { GRITKEEPER_BACKUP_RECIPIENT: 'nobody@nowhere.invalid' },
      'backup',
      stand.url,
      `${room}/x`,
      ['--seal'],
    );
    expect(unknown.status !== 0 && !existsSync(`${room}/x`), 'it was written for nobody');
    const left = readdirSync(room).filter((name) => name.includes('.part'));
    expect(left.length === 0, `left behind: ${left.join()}`);
    const tools = sealedForSomebody(stand, room);
    const rows = /\d+ tables, \d+ rows/.exec(rehearsed.stdout)?.[0] ?? '';
    return `${rows}; sealed for somebody by ${tools.join(' and ') || 'no tool, none is installed'}`;
  } finally {
    const home = existsSync(`${room}/gpg/home`) && readFileSync(`${room}/gpg/home`, 'utf8');
    if (home) {
      spawnSync('gpgconf', ['--kill', 'all'], { env: { ...process.env, GNUPGHOME: home } });
      rmSync(home, { recursive: true, force: true });
    }
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
