'use client';

import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { send } from '../parts/post';
import { signOut } from '../parts/signOut';
import { DoorCard } from '../parts/DoorCard';

/** The passphrase of who is signed in, and nobody else's. */
export function UnlockForm({ name, onOpen }: { name: string; onOpen: () => void }) {
  const [passphrase, setPassphrase] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const open = async (e: FormEvent) => {
    e.preventDefault();
    if (busy) return;
    setBusy(true);
    const sent = await send('POST', '/api/v1/me/unlock', { key: crypto.randomUUID(), passphrase });
    setBusy(false);
    setPassphrase('');
    if (sent.ok) return onOpen();
    setProblem(sent.refusal.fields[0]?.message ?? sent.refusal.title);
  };
  return (
    <DoorCard title="The screen is locked" id="locked-title" edge="bench.brass" onSubmit={(e) => void open(e)}>
      <Typography variant="body2">{name} is signed in. What was typed is still here.</Typography>
      <TextField
        label="Passphrase"
        type="password"
        autoComplete="current-password"
        autoFocus
        value={passphrase}
        onChange={(e) => setPassphrase(e.target.value)}
        error={problem !== null}
        helperText={problem}
      />
      <Button type="submit" variant="contained" disabled={busy}>
        {busy ? 'Looking …' : 'Unlock'}
      </Button>
      <Button onClick={() => void signOut()}>Somebody else: sign {name} out</Button>
    </DoorCard>
  );
}
