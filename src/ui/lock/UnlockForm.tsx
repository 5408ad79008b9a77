'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useForm } from 'react-hook-form';
import { dtoResolver } from '../forms/dtoResolver';
import { FormText } from '../forms/FormText';
import { send } from '../parts/post';
import { signOut } from '../parts/signOut';
import { DoorCard } from '../parts/DoorCard';

/** The passphrase of who is signed in, and nobody else's. */
export function UnlockForm({ name, onOpen }: { name: string; onOpen: () => void }) {
  const { control, handleSubmit, reset, setError, formState } = useForm({
    defaultValues: { passphrase: '' },
    resolver: dtoResolver(
      async () => (await import('@/shop/me/dto')).UnlockScreenDto,
      (typed) => ({ ...typed, key: crypto.randomUUID() }),
    ),
  });
  const open = handleSubmit(async (typed) => {
    const sent = await send('POST', '/api/v1/me/unlock', { key: crypto.randomUUID(), ...typed });
    reset();
    if (sent.ok) return onOpen();
    setError('passphrase', { type: 'refused', message: sent.refusal.fields[0]?.message ?? sent.refusal.title });
  });
  return (
    <DoorCard title="The screen is locked" id="locked-title" edge="bench.brass" onSubmit={(e) => void open(e)}>
      <Typography variant="body2">{name} is signed in. What was typed is still here.</Typography>
      <FormText
        control={control}
        name="passphrase"
        label="Passphrase"
        type="password"
        autoComplete="current-password"
        autoFocus
      />
      <Button type="submit" variant="contained" disabled={formState.isSubmitting}>
        {formState.isSubmitting ? 'Looking …' : 'Unlock'}
      </Button>
      <Button onClick={() => void signOut()}>Somebody else: sign {name} out</Button>
    </DoorCard>
  );
}
