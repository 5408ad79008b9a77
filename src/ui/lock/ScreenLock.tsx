'use client';

import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import { UnlockForm } from './UnlockForm';
import { useQuiet } from './useQuiet';
import { send } from '../parts/post';

/** Written when the screen is unlocked: the other tabs of the browser open with it. */
const UNLOCKED = 'gritkeeper-unlocked';

/** Locks the screen after so many quiet minutes, in every tab of the browser; what is typed below it stays as it is. */
export function ScreenLock({ minutes, name }: { minutes: number; name: string }) {
  const [locked, setLocked] = useState(false);
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
  return (
    <Dialog
      open={locked}
      fullScreen
      aria-labelledby="locked-title"
      slotProps={{ paper: { sx: { display: 'grid', placeItems: 'center', p: 2, bgcolor: 'background.default' } } }}
    >
      <UnlockForm
        name={name}
        onOpen={() => {
          wake();
          localStorage.setItem(UNLOCKED, String(Date.now()));
          setLocked(false);
        }}
      />
    </Dialog>
  );
}
