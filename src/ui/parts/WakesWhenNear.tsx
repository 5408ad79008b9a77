'use client';

import { Activity, use, useEffect, useRef, useState, useSyncExternalStore, type ReactNode } from 'react';

/** Held shut while a piece of the page sleeps. */
interface Gate {
  isOpen: boolean;
  opened: Promise<void>;
  open: () => void;
}

function shutGate(): Gate {
  let tell: () => void;
  const opened = new Promise<void>((done) => {
    tell = done;
  });
  const gate: Gate = {
    isOpen: false,
    opened,
    open: () => {
      gate.isOpen = true;
      // Read by `use`: what is opened holds nobody up, not even for a turn.
      Object.assign(opened, { status: 'fulfilled', value: undefined });
      tell();
    },
  };
  return gate;
}

/** What is said of a piece that sleeps. */
const ASLEEP = 'data-asleep';
/** So near to what is seen, a piece wakes before anybody comes to it. */
const NEAR = '300px';

/**
 * A piece of a long page that may lie out of sight: it is the page as the server drew it until it is come near to, gone into,
 * or changed, and wakes then. What is out of sight does not keep a slow phone from answering to what is in sight. Drawn by the
 * browser itself, it is awake at once. No key that works everywhere may belong to it.
 */
export function WakesWhenNear({ children, className }: { children: ReactNode; className?: string | undefined }) {
  const place = useRef<HTMLDivElement>(null);
  const [gate] = useState(shutGate);
  const [first] = useState(children);
  // What the server drew is not true any more.
  if (children !== first) gate.open();
  useEffect(() => {
    const element = place.current!;
    void gate.opened.then(() => element.removeAttribute(ASLEEP));
    if (gate.isOpen) return;
    const near = new IntersectionObserver((seen) => seen.some((s) => s.isIntersecting) && gate.open(), {
      rootMargin: NEAR,
    });
    near.observe(element);
    // Opened before the page itself hears of it: the page hears what goes into a piece that sleeps, and keeps it from others.
    const into = ['pointerdown', 'focusin', 'input', 'click'] as const;
    const open = (e: Event) => element.contains(e.target as Node) && gate.open();
    for (const e of into) window.addEventListener(e, open, true);
    return () => {
      near.disconnect();
      for (const e of into) window.removeEventListener(e, open, true);
    };
  }, [gate]);
  return (
    <div ref={place} className={className} {...{ [ASLEEP]: '' }}>
      <Activity>
        <Gated gate={gate}>{children}</Gated>
      </Activity>
    </div>
  );
}

const never = () => () => undefined;

function Gated({ gate, children }: { gate: Gate; children: ReactNode }) {
  const isDrawnByServer = useSyncExternalStore(
    never,
    () => false,
    () => true,
  );
  // Neither a server nor an old browser can tell what is near.
  if (!isDrawnByServer || typeof IntersectionObserver === 'undefined') gate.open();
  use(gate.opened);
  return children;
}
