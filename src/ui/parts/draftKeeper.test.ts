import { draftKeeper } from './draftKeeper';
import { send } from './post';

/** A browser's store and a server that answers when it is told to. */
function stage() {
  const store = new Map<string, string>();
  const sent: { method: string; url: string; body: unknown }[] = [];
  const waiting: (() => void)[] = [];
  let slow = false;
  let answer = () => new Response(null, { status: 204 });
  Object.assign(globalThis, {
    window: {
      localStorage: {
        getItem: (k: string) => store.get(k) ?? null,
        setItem: (k: string, v: string) => store.set(k, v),
        removeItem: (k: string) => store.delete(k),
      },
      location: { href: '', pathname: '/take-in' },
    },
    fetch: async (url: string, init: RequestInit = {}) => {
      sent.push({ method: init.method ?? 'GET', url, body: init.body ? JSON.parse(init.body as string) : null });
      if (slow) await new Promise<void>((go) => waiting.push(go));
      return answer();
    },
  });
  return {
    store,
    sent,
    release: () => waiting.splice(0).forEach((go) => go()),
    setSlow: (value: boolean) => (slow = value),
    answerWith: (make: () => Response) => (answer = make),
  };
}

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

describe('what is typed', () => {
  test('is kept in the browser at once, and on the server once it rests', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'h' });
    draft.keep({ words: 'hum' });
    expect(s.store.get('form')).toBe('{"words":"hum"}');
    expect(s.sent).toEqual([]);
    await jest.advanceTimersByTimeAsync(1000);
    expect(s.sent).toEqual([{ method: 'PUT', url: '/api/v1/drafts/form', body: { content: { words: 'hum' } } }]);
    expect(await draft.restore()).toEqual({ words: 'hum' });
  });

  test('comes back from the server in another browser, and is nothing when the server is not reached', async () => {
    const s = stage();
    s.answerWith(() => Response.json({ content: { words: 'from elsewhere' } }));
    expect(await draftKeeper('form').restore()).toEqual({ words: 'from elsewhere' });
    s.answerWith(() => {
      throw new TypeError('not reached');
    });
    expect(await draftKeeper('form').restore()).toBeNull();
  });

  test('a copy on its way is waited for before it is dropped: it cannot come back from the dead', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'x' });
    s.setSlow(true);
    await jest.advanceTimersByTimeAsync(1000);
    const dropped = draft.drop();
    await jest.advanceTimersByTimeAsync(10);
    expect(s.sent.map((x) => x.method)).toEqual(['PUT']);
    s.setSlow(false);
    s.release();
    await dropped;
    expect(s.sent.map((x) => x.method)).toEqual(['PUT', 'DELETE']);
    expect(s.store.size).toBe(0);
  });

  test('what was not yet sent is not sent after it was dropped', async () => {
    const s = stage();
    const draft = draftKeeper('form');
    draft.keep({ words: 'x' });
    await draft.drop();
    await jest.advanceTimersByTimeAsync(2000);
    expect(s.sent.map((x) => x.method)).toEqual(['DELETE']);
  });
});

describe('sending', () => {
  test('a refusal comes with its fields', async () => {
    stage().answerWith(() => Response.json({ title: 'No.', fields: [{ field: 'a', message: 'b' }] }, { status: 400 }));
    expect(await send('POST', '/x', {})).toEqual({
      ok: false,
      refusal: { status: 400, title: 'No.', fields: [{ field: 'a', message: 'b' }] },
    });
  });

  test('a server that is away, or answers no JSON, is a refusal in words too', async () => {
    const s = stage();
    s.answerWith(() => {
      throw new TypeError('not reached');
    });
    expect(await send('POST', '/x', {})).toMatchObject({ ok: false, refusal: { status: 0, fields: [] } });
    s.answerWith(() => new Response('<html>', { status: 502 }));
    expect(await send('POST', '/x', {})).toMatchObject({
      ok: false,
      refusal: { status: 502, title: 'The server failed.' },
    });
  });

  test('an ended session leads to the door, and back to where one was', async () => {
    stage().answerWith(() => Response.json({ title: 'Sign in first.' }, { status: 401 }));
    await send('POST', '/x', {});
    expect(window.location.href).toBe('/sign-in?next=%2Ftake-in');
  });
});
