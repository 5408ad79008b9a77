import { writeFileSync } from 'node:fs';
import { backupAndRestore } from './backup';
import { databaseKilled, serverKilled } from './kills';
import { secretOfCheckout, Stand } from './stand';
import { askedToEnd, databaseFrozen, keptRunning } from './endings';
import { stalledBodies, tooManyHands, worstLegal } from './heavy';
import { nonsenseEverywhere } from './fuzz';
import { clockChange, databaseDown, diskFull, nastyWords, rowsHeld, twoServers } from './troubles';

/** Faults on purpose. A short run of each, or the full one with --long; `--only WORD` for one. */
process.env.GRITKEEPER_SECRET ??= secretOfCheckout();
const long = process.argv.includes('--long');
const only = process.argv.includes('--only') ? process.argv[process.argv.indexOf('--only') + 1] : undefined;
const kills = long ? 100 : 3;

const stand = await Stand.open();
const faults: [string, () => Promise<string>][] = [
  ['backup and restore', () => backupAndRestore(stand)],
  ['nasty words in every field', () => nastyWords(stand)],
  ['nonsense on every route', () => nonsenseEverywhere(stand, long ? 20_000 : 3000)],
  ['the server killed in the middle of writes', () => serverKilled(stand, kills)],
  ['the database killed in the middle of writes', () => databaseKilled(stand, kills)],
  ['the database down', () => databaseDown(stand)],
  ['the database frozen', () => databaseFrozen(stand)],
  ['rows that somebody holds', () => rowsHeld(stand)],
  ['a server asked to end', () => askedToEnd(stand)],
  ['a server kept running', () => keptRunning(stand)],
  ['the worst that may be asked for', () => worstLegal(stand)],
  ['bodies that never come', () => stalledBodies(stand)],
  ['more hands than the shop has', () => tooManyHands(stand)],
  ['the disk full on upload', () => diskFull(stand)],
  ['two servers on one database', () => twoServers(stand, long ? 100 : 5)],
  ['clocks that are wrong', () => clockChange(stand)],
];
let passed = 0;
let failed = 0;
try {
  for (const [name, fault] of faults) {
    if (only && !name.includes(only)) continue;
    const started = Date.now();
    try {
      const told = await fault();
      // What could not be tried is neither passed nor failed.
      const tried = !told.startsWith('not tried');
      if (tried) passed++;
      console.log(`  ${tried ? '✓' : '–'} ${name}: ${told} (${Math.round((Date.now() - started) / 1000)} s)`);
    } catch (error) {
      failed++;
      console.log(`  ✗ ${name}: ${(error as Error).stack}`);
    }
  }
} finally {
  await stand.close();
}
writeFileSync('.gritkeeper/faults.json', JSON.stringify({ passed, failed }));
process.exit(failed === 0 ? 0 : 1);
