import { spawn, type ChildProcess } from 'node:child_process';
import { join } from 'node:path';
import { backOffMs } from './backOff';

/** Keeps one server running: one that dies, or answers to nothing any more, is started again, and the log says so. */
const DOOR = join(import.meta.dirname, 'door.mjs');
const WRONG_ENVIRONMENT = 78;
/** A server that says nothing for so long is stuck in some work without end. */
const SILENT_MS = 60_000;
const END_MS = 10_000;

let child: ChildProcess | null = null;
let wait = 0;
let ending = false;

function say(msg: string, more: object = {}): void {
  process.stdout.write(`${JSON.stringify({ level: 40, time: Date.now(), name: 'gritkeeper', ...more, msg })}\n`);
}

function start(): void {
  const started = Date.now();
  let heard = Date.now();
  const server = spawn(process.execPath, [...process.execArgv, DOOR], {
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  });
  child = server;
  server.on('message', () => (heard = Date.now()));
  const watch = setInterval(() => {
    if (Date.now() - heard < SILENT_MS) return;
    say('the server answers to nothing: it is ended and started again');
    server.kill('SIGKILL');
  }, 1000);
  server.on('exit', (code, signal) => {
    clearInterval(watch);
    child = null;
    if (ending || code === 0) process.exit(code ?? 0);
    if (code === WRONG_ENVIRONMENT) process.exit(code);
    wait = backOffMs(wait, Date.now() - started);
    say(`the server ended (${signal ?? `code ${code}`}): it is started again in ${wait} ms`, { code, signal });
    setTimeout(start, wait);
  });
}

function end(signal: NodeJS.Signals): void {
  ending = true;
  if (!child) process.exit(0);
  child.kill(signal);
  setTimeout(() => child?.kill('SIGKILL'), END_MS).unref();
}
process.on('SIGTERM', () => end('SIGTERM'));
process.on('SIGINT', () => end('SIGTERM'));
start();
