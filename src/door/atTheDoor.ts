import { bodyLimitBytes, SMALLEST_BODY_BYTES, sizeInWords } from '../shop/doors/bodyLimits';

/** What is known of a request before any of its body is read. */
export interface Caller {
  method: string;
  /** Path and query, as sent. */
  url: string;
  contentLength: string | undefined;
  transferEncoding: string | undefined;
  /** Whether it carries a session or a token, true or not: who carries none is a stranger. */
  carriesKey: boolean;
}

export interface Refusal {
  status: 400 | 401 | 403 | 405 | 408 | 411 | 413 | 414 | 423 | 503;
  title: string;
}

const METHODS = new Set(['GET', 'HEAD', 'POST', 'PUT', 'DELETE']);
const LONGEST_URL = 8000;

/**
 * What is turned away before it is read: methods that nobody needs, addresses that are none, bodies of no stated length or of
 * more than their path takes. Everything that comes past here costs at most what its path may cost.
 */
export function refusedAtDoor({ method, url, contentLength, transferEncoding, carriesKey }: Caller): Refusal | null {
  if (!METHODS.has(method)) return { status: 405, title: `The method ${method.slice(0, 12)} is not used here.` };
  if (url.length > LONGEST_URL) return { status: 414, title: 'This address is too long.' };
  const path = readPath(url);
  if (path === null) return { status: 400, title: 'This address cannot be read.' };
  if (transferEncoding !== undefined)
    return { status: 411, title: 'Say how long the body is: a body without a length is not read.' };
  const length = contentLength === undefined ? 0 : Number(contentLength);
  if (!Number.isSafeInteger(length) || length < 0)
    return { status: 400, title: 'The length of the body is no number.' };
  const most = carriesKey ? bodyLimitBytes(path) : Math.min(bodyLimitBytes(path), SMALLEST_BODY_BYTES);
  if (length > most) return { status: 413, title: `This is too large: at most ${sizeInWords(most)} are taken here.` };
  return null;
}

/** The path of an address, or null when it holds what no address holds: broken escapes, the character zero, control characters. */
function readPath(url: string): string | null {
  if (!url.startsWith('/')) return null;
  try {
    if (/[\u0000-\u001f\u007f\\]/.test(decodeURIComponent(url.split('?')[0]!))) return null;
    if (decodeURIComponent(url.replace(/\+/g, ' ')).includes('\0')) return null;
  } catch {
    return null;
  }
  return url.split('?')[0]!;
}
