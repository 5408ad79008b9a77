import { useLayoutEffect, useRef } from 'react';
import { createPortal } from 'react-dom';
import { NotFetched } from '../parts/NotFetched';
import styles from './lock.module.css';

/** Lies over a locked screen until what unlocks it is there; nothing below it can be seen, pressed or reached by keys. */
export function Cover({ failed, again }: { failed: boolean; again: () => void }) {
  const cover = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    const below = [...document.body.children].filter((e) => e !== cover.current && !e.hasAttribute('inert'));
    for (const e of below) e.setAttribute('inert', '');
    return () => {
      for (const e of below) e.removeAttribute('inert');
    };
  }, []);
  return createPortal(
    <div ref={cover} role="dialog" aria-modal aria-label="The screen is locked" className={styles.cover}>
      <NotFetched failed={failed} what="What unlocks this screen" again={again} />
    </div>,
    document.body,
  );
}
