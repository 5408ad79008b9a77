import { createInterface } from 'node:readline/promises';
import { Writable } from 'node:stream';
import { database } from '../src/data/database';
import { insertPerson, type PersonRow } from '../src/data/people';
import { hashPassphrase } from '../src/shop/access/passphrases';

const [signIn, name, role] = process.argv.slice(2);
const roles = ['owner', 'technician', 'counter'];
if (!signIn || !name || !role || !roles.includes(role)) {
  console.error(`Use: ./gritkeeper person SIGN-IN "NAME" ${roles.join('|')}`);
  process.exit(2);
}
// What is typed is not shown.
const hidden = new Writable({ write: (_chunk, _encoding, done) => done() });
process.stderr.write('Passphrase (12 characters or more): ');
const lines = createInterface({ input: process.stdin, output: hidden, terminal: process.stdin.isTTY });
const passphrase = (await lines.question('')).trim();
lines.close();
if (passphrase.length < 12) {
  console.error('\n✗ A passphrase has 12 characters or more.');
  process.exit(1);
}
await insertPerson(database(), {
  sign_in: signIn,
  name,
  role: role as PersonRow['role'],
  passphrase_hash: await hashPassphrase(passphrase),
});
await database().destroy();
console.error(`\n${name} may sign in as ${signIn}.`);
