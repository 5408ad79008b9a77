/** @jest-environment jsdom */
import { act, cleanup } from '@testing-library/react';
import { useState, type ReactElement } from 'react';
import { hydrateRoot } from 'react-dom/client';
import { renderToString } from 'react-dom/server.edge';
import { keepTypedEarly } from './typedEarly';
import { useAllTypedEarly, useTypedEarly, WAKES_LATER } from './useTypedEarly';

function Form() {
  const [v, setV] = useState({ words: '', note: '', kind: 'a' });
  const set = (more: Partial<typeof v>) => setV((o) => ({ ...o, ...more }));
  return (
    <>
      <input value={v.words} onChange={(e) => set({ words: e.target.value })} />
      <textarea value={v.note} onChange={(e) => set({ note: e.target.value })} />
      <select value={v.kind} onChange={(e) => set({ kind: e.target.value })}>
        <option value="a" />
        <option value="b" />
      </select>
      <p>{Object.values(v).join(' ')}</p>
    </>
  );
}
function Frame() {
  useAllTypedEarly();
  return <Form />;
}
function Later() {
  return (
    <div ref={useTypedEarly<HTMLDivElement>()} {...WAKES_LATER}>
      <Form />
    </div>
  );
}

/** The page as it comes, typed into, then awake. */
async function typedThenAwake(page: ReactElement): Promise<HTMLElement> {
  window.eval(keepTypedEarly);
  const place = document.body.appendChild(document.createElement('div'));
  place.innerHTML = renderToString(page);
  for (const [tag, value] of [
    ['input', 'squeals'],
    ['textarea', 'ring first'],
    ['select', 'b'],
  ] as const) {
    const field = place.querySelector<HTMLInputElement>(tag)!;
    field.value = value;
    field.dispatchEvent(new Event('input', { bubbles: true }));
  }
  await act(async () => void hydrateRoot(place, page));
  return place;
}

afterEach(() => {
  cleanup();
  document.body.replaceChildren();
});

test.each([
  ['with the frame', <Frame key="f" />],
  ['later than the frame', <Later key="l" />],
])('what was typed before a page wakes, %s, is the page’s own when it does', async (_when, page) => {
  const place = await typedThenAwake(page);
  expect(place.querySelector('p')!.textContent).toBe('squeals ring first b');
  expect(place.querySelector('input')!.value).toBe('squeals');
});

test('a page that nothing is given back to is what it was without: the words are lost', async () => {
  const place = await typedThenAwake(<Form />);
  expect(place.querySelector('p')!.textContent).toBe('  a');
});
