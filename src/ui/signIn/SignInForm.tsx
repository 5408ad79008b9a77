'use client';

import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { SignInDto } from '@/shop/access/dto';
import { AtTheDoor, DoorCard } from '../parts/DoorCard';
import { Notice } from '../parts/Notice';
import { send } from '../parts/post';

export function SignInForm({ next }: { next: string }) {
  const [refused, setRefused] = useState<string | null>(null);
  /** There is a second factor: its field is there from now on. */
  const [asksCode, setAsksCode] = useState(false);
  const { register, handleSubmit, formState } = useForm<SignInDto>({
    resolver: classValidatorResolver(SignInDto),
    defaultValues: { signIn: '', passphrase: '', code: '' },
  });
  const submit = handleSubmit(async (values) => {
    setRefused(null);
    const sent = await send('POST', '/api/sign-in', values);
    if (sent.ok) window.location.assign(next);
    else {
      if (sent.refusal.fields.some((f) => f.field === 'code')) setAsksCode(true);
      setRefused(sent.refusal.title);
    }
  });
  const { errors, isSubmitting } = formState;
  return (
    <AtTheDoor>
      <DoorCard title="Sign in" edge="bench.action" onSubmit={submit}>
        {refused && <Notice live title={refused} />}
        <TextField
          label="Name"
          autoComplete="username"
          autoFocus
          error={Boolean(errors.signIn)}
          helperText={errors.signIn?.message}
          {...register('signIn')}
        />
        <TextField
          label="Passphrase"
          type="password"
          autoComplete="current-password"
          error={Boolean(errors.passphrase)}
          helperText={errors.passphrase?.message}
          {...register('passphrase')}
        />
        {asksCode && (
          <TextField
            label="Code"
            autoComplete="one-time-code"
            autoFocus
            error={Boolean(errors.code)}
            helperText={errors.code?.message ?? 'Six digits of your authenticator, or a recovery code.'}
            {...register('code')}
          />
        )}
        <Button type="submit" variant="contained" disabled={isSubmitting}>
          {isSubmitting ? 'Looking …' : 'Open the shop'}
        </Button>
      </DoorCard>
    </AtTheDoor>
  );
}
