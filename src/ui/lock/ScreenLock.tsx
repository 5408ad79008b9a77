'use client';

import { useEffect, useState } from 'react';
import { useLater } from '../asking/useLater';
import { Cover } from './Cover';
import { useQuiet } from './useQuiet';
import { send } from '../parts/post';

/** Written when the screen is unlocked: the other tabs of the browser open with it. */
const UNLOCKED = 'gritkeeper-unlocked';
/** What unlocks is fetched while the server is near, long before it can be needed; not while the page still wakes. */
const FETCH_AFTER_MS = 20_000;

/** Locks the screen after so many quiet minutes, in every tab of the browser; what is typed below it stays as it is. */
export function ScreenLock({ minutes, name }: { minutes: number; name: string }) {
  const [locked, setLocked] = useState(false);
  const [settled, setSettled] = useState(false);
  useEffect(() => {
    const later = setTimeout(() => setSettled(true), FETCH_AFTER_MS);
    return () => clearTimeout(later);
  }, []);
  const later = useLater('locked-screen', async () => (await import('./LockedScreen')).LockedScreen, settled || locked);
  const Locked = later.piece;
  const wake = useQuiet(minutes * 60_000, locked, () => {
    setLocked(true);
    // Another way in, such as a page loaded anew, is shut by the server.
    void send('POST', '/api/v1/me/lock', { key: crypto.randomUUID(), locked: true });
  });
  useEffect(() => {
    if (!locked) return;
    const onUnlocked = (e: StorageEvent) => {
      if (e.key !== UNLOCKED) return;
      wake();
      setLocked(false);
    };
    window.addEventListener('storage', onUnlocked);
    return () => window.removeEventListener('storage', onUnlocked);
  }, [locked, wake]);
  const onOpen = () => {
    wake();
    localStorage.setItem(UNLOCKED, String(Date.now()));
    setLocked(false);
  };
  return (
    <>
      {Locked && <Locked open={locked} name={name} onOpen={onOpen} />}
      {locked && !Locked && <Cover failed={later.failed} again={later.again} />}
    </>
  );
}
