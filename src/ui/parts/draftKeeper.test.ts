import { draftKeeper, leaveDrafts } from './draftKeeper';
import { send } from './post';

/** A browser's store, who is signed in, and a server that keeps drafts and answers when it is told to. */
function stage(person = '7') {
  const store: Record<string, string> = {};
  const drafts = new Map<string, { content: unknown; at: string }>();
  const sent: string[] = [];
  const waiting: (() => void)[] = [];
  const state = { slow: false, away: false, clock: 0, person };
  Object.assign(globalThis, {
    document: { querySelector: () => ({ dataset: { person: state.person } }) },
    window: {
      localStorage: Object.defineProperties(store, {
        getItem: { value: (k: string) => store[k] ?? null },
        setItem: { value: (k: string, v: string) => void (store[k] = v) },
        removeItem: { value: (k: string) => void delete store[k] },
      }),
      location: { href: '', pathname: '/take-in' },
    },
    fetch: async (url: string, init: RequestInit = {}) => {
      const method = init.method ?? 'GET';
      sent.push(method);
      if (state.away) throw new TypeError('not reached');
      if (state.slow) await new Promise<void>((go) => waiting.push(go));
      if (method === 'PUT') {
        const at = `2030-01-01T00:00:0${++state.clock}.000000Z`;
        drafts.set(url, { content: (JSON.parse(init.body as string) as { content: unknown }).content, at });
        return Response.json({ at });
      }
      if (method === 'DELETE') drafts.delete(url);
      return method === 'DELETE'
        ? new Response(null, { status: 204 })
        : Response.json(drafts.get(url) ?? { content: null, at: null });
    },
  });
  return { store, drafts, sent, state, release: () => waiting.splice(0).forEach((go) => go()) };
}
const URL = '/api/v1/drafts/form';

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('what is typed', () => {
  test('is kept in the browser at once, and on the server once it rests', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'h' });
    draft.keep({ words: 'hum' });
    expect(s.store['draft:7:form']).toContain('"words":"hum"');
    expect(s.sent).toEqual([]);
    await jest.advanceTimersByTimeAsync(1000);
    expect(s.sent).toEqual(['PUT']);
    expect(s.drafts.get(URL)!.content).toEqual({ words: 'hum' });
    expect(await draft.restore()).toEqual({ words: 'hum' });
  });

  test('comes back from the server in another browser, and is nothing when the server is not reached', async () => {
    const s = stage();
    s.drafts.set(URL, { content: { words: 'from elsewhere' }, at: '2030-01-01T00:00:00.000000Z' });
    expect(await draftKeeper('form').restore()).toEqual({ words: 'from elsewhere' });
    const other = stage();
    other.state.away = true;
    expect(await draftKeeper('form').restore()).toBeNull();
  });

  test('comes back without the server, as it was typed here', async () => {
    const s = stage();
    s.state.away = true;
    draftKeeper('form').keep({ words: 'offline' });
    await jest.advanceTimersByTimeAsync(1000);
    expect(await draftKeeper('form').restore()).toEqual({ words: 'offline' });
  });

  test('a copy on its way is waited for before it is dropped: it cannot come back from the dead', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'x' });
    s.state.slow = true;
    await jest.advanceTimersByTimeAsync(1000);
    const dropped = draft.drop();
    await jest.advanceTimersByTimeAsync(10);
    expect(s.sent).toEqual(['PUT']);
    s.state.slow = false;
    s.release();
    await dropped;
    expect(s.sent).toEqual(['PUT', 'DELETE']);
    expect(Object.keys(s.store)).toEqual([]);
  });

  test('what was not yet sent is not sent after it was dropped', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'x' });
    await draft.drop();
    await jest.advanceTimersByTimeAsync(2000);
    expect(s.sent).toEqual(['DELETE']);
  });
});

describe('two copies', () => {
  test('what is typed while the kept copy is still being asked for is not thrown away', async () => {
    const s = stage();
    s.state.slow = true;
    const draft = draftKeeper('form');
    const asked = draft.restore();
    await jest.advanceTimersByTimeAsync(10);
    draft.keep({ words: 'typed at once' });
    s.state.slow = false;
    s.release();
    expect(await asked).toEqual({ words: 'typed at once' });
    await jest.advanceTimersByTimeAsync(1000);
    expect(s.drafts.get(URL)!.content).toEqual({ words: 'typed at once' });
  });

  test('an older one in this browser does not beat what was typed elsewhere since', async () => {
    const s = stage();
    draftKeeper('form').keep({ words: 'on the bench' });
    await jest.advanceTimersByTimeAsync(1000);
    s.drafts.set(URL, { content: { words: 'on the phone, later' }, at: '2030-01-01T00:00:09.000000Z' });
    expect(await draftKeeper('form').restore()).toEqual({ words: 'on the phone, later' });
    // And what was finished elsewhere is not typed again here.
    s.drafts.delete(URL);
    expect(await draftKeeper('form').restore()).toBeNull();
    expect(Object.keys(s.store)).toEqual([]);
  });

  test('what was typed here over the server’s copy and never reached it comes first, whatever the clocks say', async () => {
    jest.setSystemTime(new Date('2001-01-01'));
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'one' });
    await jest.advanceTimersByTimeAsync(1000);
    s.state.away = true;
    draft.keep({ words: 'one and two' });
    await jest.advanceTimersByTimeAsync(1000);
    s.state.away = false;
    expect(await draftKeeper('form').restore()).toEqual({ words: 'one and two' });
  });
});

describe('whose it is', () => {
  test('another person at this browser sees nothing of it', async () => {
    const s = stage();
    draftKeeper('clearance').keep({ how: 'I measured it' });
    s.state.person = '8';
    s.state.away = true;
    expect(await draftKeeper('clearance').restore()).toBeNull();
  });

  test('at sign-out it goes to the server and out of this browser', async () => {
    const s = stage();
    s.store['bench-mine'] = 'yes';
    draftKeeper('form').keep({ words: 'half typed' });
    await leaveDrafts();
    expect(s.drafts.get(URL)!.content).toEqual({ words: 'half typed' });
    expect(Object.keys(s.store)).toEqual(['bench-mine']);
  });

  test('what the server did not take stays, under their name', async () => {
    const s = stage();
    s.state.away = true;
    draftKeeper('form').keep({ words: 'half typed' });
    await leaveDrafts();
    expect(Object.keys(s.store)).toEqual(['draft:7:form']);
  });
});

/** A server that gives one answer. */
function answering(make: () => Response) {
  stage();
  Object.assign(globalThis, { fetch: async () => make() });
}

describe('sending', () => {
  test('a refusal comes with its fields', async () => {
    answering(() => Response.json({ title: 'No.', fields: [{ field: 'a', message: 'b' }] }, { status: 400 }));
    expect(await send('POST', '/x', {})).toEqual({
      ok: false,
      refusal: { status: 400, title: 'No.', fields: [{ field: 'a', message: 'b' }] },
    });
  });

  test('a server that is away, or answers no JSON, is a refusal in words too', async () => {
    answering(() => {
      throw new TypeError('not reached');
    });
    expect(await send('POST', '/x', {})).toMatchObject({ ok: false, refusal: { status: 0, fields: [] } });
    answering(() => new Response('<html>', { status: 502 }));
    expect(await send('POST', '/x', {})).toMatchObject({
      ok: false,
      refusal: { status: 502, title: 'The server failed.' },
    });
  });

  test('an ended session leads to the door, and back to where one was', async () => {
    answering(() => Response.json({ title: 'Sign in first.' }, { status: 401 }));
    await send('POST', '/x', {});
    expect(window.location.href).toBe('/sign-in?next=%2Ftake-in');
  });
});
