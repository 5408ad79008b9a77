import type { IncomingMessage } from 'node:http';

/** So much of a body is held ready before anybody reads it; every stranger's fits, and what is typed by hand. */
const HELD_BYTES = 16_384;

const announced = (request: IncomingMessage) => Number(request.headers['content-length'] ?? 0);

/** Whether a body is small enough to be waited for without reading it. */
export function fitsInHand(request: IncomingMessage): boolean {
  return announced(request) <= Math.min(HELD_BYTES, request.readableHighWaterMark);
}

/**
 * Waits until the whole of a small body is there, unread: who reads it next finds it as it came.
 * @returns false when it did not come in time, or its sender left
 */
export function bodyArrived(request: IncomingMessage, longestMs: number): Promise<boolean> {
  const length = announced(request);
  const isHere = () => request.readableLength >= length;
  if (length === 0 || isHere()) return Promise.resolve(true);
  return new Promise((done) => {
    const end = (arrived: boolean) => {
      clearTimeout(late);
      request.off('readable', look);
      request.off('close', left);
      done(arrived);
    };
    const look = () => {
      // Asks for more without taking any.
      request.read(0);
      if (isHere()) end(true);
    };
    const left = () => end(false);
    const late = setTimeout(() => end(false), longestMs);
    request.on('readable', look);
    request.once('close', left);
    look();
  });
}
