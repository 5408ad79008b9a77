import { setMaxListeners } from 'node:events';

/** The framework may load this file more than once in a process: the end is one. */
const held = globalThis as { gritkeeperClosing?: AbortController };

/** Aborted when this server is asked to end: what stays open for long, such as a live stream, lets go then. */
export function closing(): AbortController {
  if (!held.gritkeeperClosing) {
    held.gritkeeperClosing = new AbortController();
    // One listener for each stream that is open.
    setMaxListeners(0, held.gritkeeperClosing.signal);
  }
  return held.gritkeeperClosing;
}
