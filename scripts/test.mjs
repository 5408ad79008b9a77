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
let passed = 0;
let failed = 0;

function count(name, good, bad) {
  passed += good;
  failed += bad;
  console.log(`\n${bad === 0 ? '✓' : '✗'} ${name}: ${good} passed, ${bad} failed\n`);
}

function step(name, command, args, env = {}) {
  console.log(`\n── ${name}`);
  const result = spawnSync(command, args, { stdio: 'inherit', env: { ...process.env, ...env } });
  return result.status === 0;
}

function single(name, command, args) {
  const good = step(name, command, args);
  count(name, good ? 1 : 0, good ? 0 : 1);
}

async function freshDatabase(name) {
  const client = new pg.Client({ connectionString: server });
  await client.connect();
  await client.query(`drop database if exists ${name} with (force)`);
  await client.query(`create database ${name}`);
  await client.end();
  return server.replace(/\/postgres$/, `/${name}`);
}

function unitTests() {
  const unitArgs = only ? rest : [];
  const file = `${STATE}/unit.json`;
  rmSync(file, { force: true });
  const good = step('Unit tests', bin('jest'), ['--json', `--outputFile=${file}`, '--silent=false', ...unitArgs], {
    NODE_ENV: 'test',
  });
  if (!existsSync(file)) return count('Unit tests', 0, 1);
  const report = JSON.parse(readFileSync(file, 'utf8'));
  // A suite that could not even be loaded has no tests of its own to count.
  const bad = report.numFailedTests + report.numRuntimeErrorTestSuites;
  count('Unit tests', report.numPassedTests, bad + (good || bad > 0 ? 0 : 1));
}

async function endToEnd() {
  const url = await freshDatabase('gk_e2e');
  const env = { ...process.env, DATABASE_URL: url, NODE_ENV: 'production', GRITKEEPER_LOG: 'warn' };
  for (const script of ['scripts/migrate.ts', 'scripts/demo.ts']) {
    const made = spawnSync(
      'node',
      ['--import', 'tsx', script, ...(script.includes('demo') ? [`${STATE}/e2e-token`] : [])],
      { stdio: 'inherit', env },
    );
    if (made.status !== 0) return count('End-to-end tests', 0, 1);
  }
  // A server that another run left behind would answer in place of ours.
  const port = String(await freePort(Number(process.env.E2E_PORT ?? 4350)));
  const child = spawn('node', ['node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', port], {
    stdio: ['ignore', 'ignore', 'inherit'],
    env,
  });
  const base = `http://127.0.0.1:${port}`;
  const file = `${STATE}/e2e.json`;
  rmSync(file, { force: true });
  try {
    await ready(base, child);
    const good = step('End-to-end tests', bin('playwright'), ['test', ...(only ? rest : [])], {
      E2E_BASE_URL: base,
      E2E_JSON: file,
      E2E_TOKEN: readFileSync(`${STATE}/e2e-token`, 'utf8'),
      DATABASE_URL: url,
    });
    if (!existsSync(file)) return count('End-to-end tests', 0, 1);
    const { expected, unexpected, flaky } = JSON.parse(readFileSync(file, 'utf8')).stats;
    const bad = unexpected + flaky;
    count('End-to-end tests', expected, bad + (good || bad > 0 ? 0 : 1));
  } finally {
    child.kill();
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

if (!only || only === 'unit') {
  if (!only) {
    single('Type check', bin('tsc'), ['--noEmit', '-p', '.']);
    single('Lint', bin('eslint'), ['.']);
    single('Layout of the code (prettier)', bin('prettier'), ['--check', '--log-level=warn', '.']);
    single('Dependency rules', bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs']);
    single('Unused code', bin('knip'), []);
  }
  unitTests();
}
if (!only || only === 'e2e') {
  try {
    await endToEnd();
  } catch (error) {
    console.error(error);
    count('End-to-end tests', 0, 1);
  }
}
if (!only || only === 'faults') {
  const file = `${STATE}/faults.json`;
  rmSync(file, { force: true });
  step('Faults on purpose', 'node', ['--import', 'tsx', 'faults/run.ts', ...rest]);
  const told = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : { passed: 0, failed: 1 };
  count('Faults on purpose', told.passed, told.failed);
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
