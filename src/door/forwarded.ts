import { isIP, type BlockList } from 'node:net';

type Headers = Record<string, string | string[] | undefined>;

/** Where a request comes from, and by which address our pages were asked for. */
export interface Origin {
  address: string;
  host: string;
  scheme: 'http' | 'https';
}

const HOST = /^[a-z0-9.-]{1,253}(:\d{1,5})?$|^\[[0-9a-f:.]{2,45}\](:\d{1,5})?$/i;

/** `::ffff:10.0.0.1` is the same machine as `10.0.0.1`. */
const plain = (address: string) => address.trim().replace(/^::ffff:(?=\d+\.)/i, '');

const isTrusted = (proxies: BlockList, address: string) => {
  const family = isIP(address);
  return family !== 0 && proxies.check(address, family === 6 ? 'ipv6' : 'ipv4');
};

const first = (value: string | string[] | undefined) => (Array.isArray(value) ? value.join(',') : (value ?? ''));

/**
 * Where a request comes from. What is said in forwarded headers counts only as far as proxies that the owner named have said
 * it: of the addresses the last that is not one of them.
 * @param remote the other end of the line
 */
export function originOf(headers: Headers, remote: string, proxies: BlockList): Origin {
  const host = first(headers.host);
  let address = plain(remote);
  if (!isTrusted(proxies, address)) return { address, host: HOST.test(host) ? host : '', scheme: 'http' };
  const way = first(headers['x-forwarded-for'])
    .split(',')
    .map(plain)
    .filter((a) => isIP(a) !== 0);
  while (way.length > 0 && isTrusted(proxies, address)) address = way.pop()!;
  const said = first(headers['x-forwarded-host']).split(',').at(-1)!.trim();
  const scheme = first(headers['x-forwarded-proto']).split(',').at(-1)!.trim() === 'https' ? 'https' : 'http';
  const told = HOST.test(said) ? said : host;
  return { address, host: HOST.test(told) ? told : '', scheme };
}
