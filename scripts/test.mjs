// Runs every check one after the other and ends with one line: N passed, N failed.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import pg from 'pg';

const STATE = '.gritkeeper';
const args = process.argv.slice(2);
const only = args[0]?.startsWith('--') ? undefined : args[0];
const rest = only ? args.slice(1) : args;
const server = process.env.TEST_DATABASE_SERVER;
const bin = (name) => `node_modules/.bin/${name}`;
/** Browsers side by side, each with a server of its own. */
const BROWSERS = 2;
let passed = 0;
let failed = 0;

function count(name, good, bad) {
  passed += good;
  failed += bad;
  console.log(`\n${bad === 0 ? '✓' : '✗'} ${name}: ${good} passed, ${bad} failed\n`);
}

/** Runs a command to its end; its words come out when it is done, so that two at once do not mix them. */
function step(name, command, args, env = {}) {
  const started = Date.now();
  return new Promise((done) => {
    const said = [];
    const child = spawn(command, args, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } });
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (piece) => said.push(piece));
    child.on('close', (code) => {
      console.log(`\n── ${name} (${Math.round((Date.now() - started) / 1000)} s)`);
      process.stdout.write(Buffer.concat(said));
      done(code === 0);
    });
  });
}

async function single(name, command, args) {
  const good = await step(name, command, args);
  count(name, good ? 1 : 0, good ? 0 : 1);
}

/** What is read and not run: one after the other, beside the tests. */
async function papers() {
  await single('Type check', bin('tsc'), ['--noEmit', '-p', '.']);
  await single('Lint', bin('eslint'), ['.', '--cache', '--cache-location', `${STATE}/eslint`]);
  await single('Layout of the code (prettier)', bin('prettier'), [
    '--check',
    '--log-level=warn',
    '--cache',
    `--cache-location=${STATE}/prettier`,
    '.',
  ]);
  await single('Dependency rules', bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs']);
  await single('Rooms in order', bin('depcruise'), ['src', '--config', '.dependency-cruiser.rooms.mjs']);
  await single('Unused code', bin('knip'), []);
}

async function freshDatabase(name, template = 'template1') {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query(`drop database if exists ${name} with (force)`);
  await client.query(`create database ${name} template ${template}`);
  await client.end();
  return server.replace(/\/postgres$/, `/${name}`);
}

async function unitTests() {
  const unitArgs = only ? rest : [];
  const file = `${STATE}/unit.json`;
  rmSync(file, { force: true });
  const good = await step(
    'Unit tests',
    bin('jest'),
    ['--json', `--outputFile=${file}`, '--silent=false', '--maxWorkers=2', ...unitArgs],
    {
      NODE_ENV: 'test',
    },
  );
  if (!existsSync(file)) return count('Unit tests', 0, 1);
  const report = JSON.parse(readFileSync(file, 'utf8'));
  // A suite that could not even be loaded has no tests of its own to count.
  const bad = report.numFailedTests + report.numRuntimeErrorTestSuites;
  count('Unit tests', report.numPassedTests, bad + (good || bad > 0 ? 0 : 1));
}

/** Servers of the shop, each with a shop of its own, so that browsers can work side by side. */
async function openStands(count) {
  const env = { ...process.env, NODE_ENV: 'production', GRITKEEPER_LOG: 'warn' };
  const first = await freshDatabase('gk_e2e_0');
  const tokenFile = `${STATE}/e2e-token`;
  for (const args of [['scripts/migrate.ts'], ['scripts/demo.ts', tokenFile]]) {
    const made = spawnSync('node', ['--import', 'tsx', ...args], {
      stdio: 'inherit',
      env: { ...env, DATABASE_URL: first },
    });
    if (made.status !== 0) throw new Error(`${args[0]} failed.`);
  }
  const databases = [first];
  while (databases.length < count) databases.push(await freshDatabase(`gk_e2e_${databases.length}`, 'gk_e2e_0'));
  const stands = [];
  let port = Number(process.env.E2E_PORT ?? 4350);
  for (const database of databases) {
    // A server that another run left behind would answer in place of ours.
    port = await freePort(port);
    const child = spawn('node', ['.next/own/door.mjs'], {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...env, DATABASE_URL: database, HOST: '127.0.0.1', PORT: String(port) },
    });
    process.once('exit', () => child.kill());
    stands.push({
      child,
      stand: { base: `http://127.0.0.1:${port}`, database, token: readFileSync(tokenFile, 'utf8') },
    });
    port++;
  }
  for (const { stand, child } of stands) await ready(stand.base, child);
  return stands;
}

async function endToEnd() {
  const stands = await openStands(only ? 1 : BROWSERS);
  const file = `${STATE}/e2e.json`;
  rmSync(file, { force: true });
  try {
    const good = await step('End-to-end tests', bin('playwright'), ['test', ...(only ? rest : [])], {
      E2E_JSON: file,
      E2E_STANDS: JSON.stringify(stands.map((s) => s.stand)),
    });
    if (!existsSync(file)) return count('End-to-end tests', 0, 1);
    const { expected, unexpected, flaky } = JSON.parse(readFileSync(file, 'utf8')).stats;
    const bad = unexpected + flaky;
    count('End-to-end tests', expected, bad + (good || bad > 0 ? 0 : 1));
  } finally {
    for (const { child } of stands) child.kill();
  }
}

async function freePort(from) {
  for (let port = from; ; port++) {
    const free = await new Promise((done) => {
      const probe = createServer()
        .once('error', () => done(false))
        .once('listening', () => probe.close(() => done(true)))
        .listen(port, '127.0.0.1');
    });
    if (free) return port;
  }
}

async function ready(base, child) {
  for (let i = 0; i < 120; i++) {
    if (child.exitCode !== null) throw new Error('The server ended.');
    const answer = await fetch(`${base}/readyz`).catch(() => null);
    if (answer?.ok) return;
    await new Promise((done) => setTimeout(done, 500));
  }
  throw new Error('The server does not become ready.');
}

async function faultsOnPurpose() {
  const file = `${STATE}/faults.json`;
  rmSync(file, { force: true });
  await step('Faults on purpose', 'node', ['--import', 'tsx', 'faults/run.ts', ...rest]);
  const told = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : { passed: 0, failed: 1 };
  count('Faults on purpose', told.passed, told.failed);
}

/** Whatever goes wrong with one of them is a failure of it, and the others go on. */
async function counted(name, work) {
  try {
    await work();
  } catch (error) {
    console.error(error);
    count(name, 0, 1);
  }
}

const started = Date.now();
if (!only) {
  await Promise.all([counted('What is read', papers), counted('Unit tests', unitTests)]);
  await Promise.all([counted('End-to-end tests', endToEnd), counted('Faults on purpose', faultsOnPurpose)]);
}
if (only === 'read') await counted('What is read', papers);
if (only === 'unit') await counted('Unit tests', unitTests);
if (only === 'e2e') await counted('End-to-end tests', endToEnd);
if (only === 'faults') await counted('Faults on purpose', faultsOnPurpose);
console.log(`In ${Math.round((Date.now() - started) / 1000)} s`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
