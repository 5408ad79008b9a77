import { checkEnvironment, finderThreads, mailStandIn } from '@/environment';
import { checkKnowledge } from '@/knowledge';
import { watchAfterwards } from '@/shop/afterwards/afterwards';
import { openFinderThreads } from '@/shop/odds/finderThreads';
import { openPaperThreads } from '@/shop/papers/paperThreads';
import { openPhotographProcesses } from '@/shop/photographs/photographProcesses';
import { keepClocks } from '@/shop/live/ringClocks';
import { keepMail } from '@/shop/mail/mailQueue';
import { openMailStandIn } from '@/shop/mail/mailStandIn';
import { log } from './log';

const QUIET_MS = 60_000;
/** Made by the build, beside the server's own program. */
const OWN = '.next/own';

/** @throws Error when the environment or the shipped knowledge cannot be worked with: such a server does not start */
export function startServer(): void {
  checkEnvironment();
  checkKnowledge();
  openFinderThreads(finderThreads(), `${OWN}/finder.thread.mjs`);
  openPaperThreads(`${OWN}/papers.thread.mjs`);
  openPhotographProcesses(`${OWN}/photographs.process.mjs`);
  const tell = onceAMinute();
  keepClocks((err) => tell({ err }, 'the clocks could not be rung; trying again'));
  keepMail((err) => tell({ err }, 'messages could not be sent; trying again'));
  const port = mailStandIn();
  if (port !== null)
    openMailStandIn(port).catch((err: unknown) => log.warn({ err }, 'the simulated mail server did not open'));
  watchAfterwards((err) => tell({ err }, 'work after an answer failed; it is done again when the Bench is looked at'));
}

/** Said once, not every two seconds, while the database is away. */
function onceAMinute() {
  const quiet = new Set<string>();
  return (more: object, what: string) => {
    if (quiet.has(what)) return;
    log.warn(more, what);
    quiet.add(what);
    setTimeout(() => quiet.delete(what), QUIET_MS).unref();
  };
}
