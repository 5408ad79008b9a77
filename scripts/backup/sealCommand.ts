import { isSealed, open, seal } from './seal';

// sealCommand.ts seal|open|is FROM TO: the passphrase comes in GRITKEEPER_BACKUP_PASSPHRASE.
const [what, from, to] = process.argv.slice(2) as [string, string, string];
if (what === 'is') process.exit(isSealed(from) ? 0 : 1);
const passphrase = process.env.GRITKEEPER_BACKUP_PASSPHRASE ?? '';
try {
  if (passphrase.length < 12) throw new Error('GRITKEEPER_BACKUP_PASSPHRASE must have 12 characters or more.');
  await (what === 'seal' ? seal : open)(from, to, passphrase);
} catch (error) {
  console.error(`✗ ${(error as Error).message}`);
  process.exit(1);
}
