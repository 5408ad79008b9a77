'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState, type FormEvent } from 'react';
import { send } from '../parts/post';
import { Mark } from '../parts/Mark';

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
    <Box
      component="form"
      noValidate
      onSubmit={(e) => void open(e)}
      sx={{
        width: '100%',
        maxWidth: 380,
        display: 'grid',
        gap: 2,
        bgcolor: 'background.paper',
        border: '1px solid',
        borderColor: 'divider',
        borderTop: '6px solid',
        borderTopColor: 'bench.brass',
        p: 3,
      }}
    >
      <Mark />
      <Typography id="locked-title" component="h1" variant="h2">
        The screen is locked
      </Typography>
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
      <Button
        onClick={async () => {
          await send('POST', '/api/sign-out');
          window.location.href = '/sign-in';
        }}
      >
        Somebody else: sign {name} out
      </Button>
    </Box>
  );
}
