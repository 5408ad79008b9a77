/** @jest-environment jsdom */
import { act, cleanup, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { hydrateRoot, type Root } from 'react-dom/client';
import { renderToString } from 'react-dom/server.edge';
import { WakesWhenNear } from './WakesWhenNear';

/** What the browser would say of what is seen. */
let come: (() => void) | null;
const telling = class {
  constructor(private readonly tell: (seen: { isIntersecting: boolean }[]) => void) {}
  observe() {
    this.tell([{ isIntersecting: false }]);
    come = () => this.tell([{ isIntersecting: true }]);
  }
  disconnect() {
    come = null;
  }
} as unknown as typeof IntersectionObserver;
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'IntersectionObserver');
  cleanup();
  document.body.replaceChildren();
});

function Counter() {
  const [n, setN] = useState(0);
  return <button onClick={() => setN(n + 1)}>pressed {n}</button>;
}

function Page({ says = 'as it came' }: { says?: string }) {
  return (
    <main>
      <p>{says}</p>
      <WakesWhenNear>
        <Counter />
      </WakesWhenNear>
    </main>
  );
}

let root: Root;
/** The page as the server drew it, awake but for what is out of sight. */
async function drawnByServer(): Promise<HTMLElement> {
  const place = document.body.appendChild(document.createElement('div'));
  place.innerHTML = renderToString(<Page />);
  // A server has none.
  globalThis.IntersectionObserver = telling;
  await act(async () => {
    root = hydrateRoot(place, <Page />, {
      onRecoverableError: (e) => {
        throw e;
      },
    });
  });
  return place;
}
const button = () => screen.getByRole('button');
const isWired = () => Object.keys(button()).some((k) => k.startsWith('__reactFiber$'));
const press = () => act(async () => button().click());

test('what is out of sight stays as the server drew it, the same piece, until it is come near to', async () => {
  const place = await drawnByServer();
  const drawn = button();
  expect(isWired()).toBe(false);
  expect(place.querySelector('[data-asleep]')).not.toBeNull();
  await act(async () => come!());
  expect(button()).toBe(drawn);
  expect(isWired()).toBe(true);
  expect(place.querySelector('[data-asleep]')).toBeNull();
  await press();
  expect(button().textContent).toBe('pressed 1');
});

test('the first press into what sleeps is heard', async () => {
  await drawnByServer();
  await press();
  expect(button().textContent).toBe('pressed 1');
});

test('it wakes when the page around it is drawn anew', async () => {
  await drawnByServer();
  const drawn = button();
  await act(async () => root.render(<Page says="changed" />));
  expect(screen.getByText('changed')).toBeTruthy();
  expect(button()).toBe(drawn);
  expect(isWired()).toBe(true);
});

test('drawn by the browser itself it is awake at once', async () => {
  globalThis.IntersectionObserver = telling;
  const { container } = render(<Page />);
  await press();
  expect(button().textContent).toBe('pressed 1');
  expect(container.querySelector('[data-asleep]')).toBeNull();
});
