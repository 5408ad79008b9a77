import type { ServerResponse } from 'node:http';
import { takePageFault } from '../shop/doors/pageFaults';

/** How soon a browser may ask for the page again, seconds. */
const AGAIN_S = 5;

/**
 * Lets a page that broke on something passing say so: what the framework would send as 500 leaves with the status of its fault,
 * and with the time after which to come again. Everything else leaves as it is.
 */
export function honestStatus(response: ServerResponse): void {
  const write = response.writeHead.bind(response) as (...args: unknown[]) => ServerResponse;
  response.writeHead = ((status: number, ...more: unknown[]) => {
    const id = response.getHeader('x-request-id');
    const fault = typeof id === 'string' ? takePageFault(id) : null;
    if (status !== 500 || fault === null) return write(status, ...more);
    response.statusCode = fault;
    if (fault === 503 || fault === 429) response.setHeader('retry-after', String(AGAIN_S));
    return write(fault, ...more);
  }) as ServerResponse['writeHead'];
}
