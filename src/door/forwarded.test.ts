import { trustedProxies } from '../environment';
import { originOf } from './forwarded';

const none = trustedProxies({});
const named = trustedProxies({ GRITKEEPER_PROXIES: '10.0.0.5, 10.1.0.0/16, fd00::/8' });
const said = {
  host: 'bench:4310',
  'x-forwarded-for': '203.0.113.9, 10.1.2.3',
  'x-forwarded-host': 'shop.example',
  'x-forwarded-proto': 'https',
};

test('nobody’s word counts who was not named', () => {
  for (const proxies of [none, named])
    expect(originOf(said, '198.51.100.7', proxies)).toEqual({
      address: '198.51.100.7',
      host: 'bench:4310',
      scheme: 'http',
    });
});

test.each(['10.0.0.5', '::ffff:10.0.0.5', 'fd00::1'])('the word of a named proxy counts: %s', (proxy) => {
  expect(originOf(said, proxy, named)).toEqual({ address: '203.0.113.9', host: 'shop.example', scheme: 'https' });
});

test('what a caller wrote before the first proxy that is not named is nothing', () => {
  const forged = { ...said, 'x-forwarded-for': '127.0.0.1, 203.0.113.9, 10.1.2.3' };
  expect(originOf(forged, '10.0.0.5', named).address).toBe('203.0.113.9');
});

test.each(['evil.test/path', 'a b', 'x@y', '', 'evil.test,shop.example, a"b'])('%j is no host', (host) => {
  expect(originOf({ ...said, 'x-forwarded-host': host }, '10.0.0.5', named).host).toBe('bench:4310');
});

test('a range that is none is told at the start', () => {
  for (const wrong of ['nowhere', '10.0.0.0/33', '10.0.0.1/x', 'fd00::/129'])
    expect(() => trustedProxies({ GRITKEEPER_PROXIES: wrong })).toThrow(/GRITKEEPER_PROXIES/);
});
