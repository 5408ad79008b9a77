'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import type { MeView } from '@/shop/me/dto';
import { deviceWords } from '../parts/deviceWords';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { instantAt } from '../parts/instants';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { sendOnce } from '../parts/sendOnce';
import { SecondFactor } from './SecondFactor';

const NOW: EditField = { name: 'now', label: 'Passphrase, as it is now', sort: 'secret' };

/** One's own keys to the shop: passphrase, second factor, sessions, tokens. */
export function MeScreen({ me, zone }: { me: MeView; zone: string }) {
  const router = useRouter();
  const [doing, setDoing] = useState<'passphrase' | 'token' | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const [token, setToken] = useState<string | null>(null);
  const close = () => setDoing(null);
  const press = async (deed: string, body: Record<string, unknown>, done: string) => {
    const sent = await sendOnce(`/api/v1/me/${deed}`, { key: crypto.randomUUID(), ...body });
    setSaid(sent.ok ? done : (sent.refusal.fields[0]?.message ?? sent.refusal.title));
    router.refresh();
  };
  return (
    <Box sx={{ display: 'grid', gap: 2, maxWidth: 860 }}>
      <Box>
        <Typography component="h1" variant="h1">
          Your keys
        </Typography>
        <Typography variant="body2">
          {me.name}, {me.role}; signs in as <Reading>{me.signIn}</Reading>
        </Typography>
      </Box>
      {said && <Notice live title={said} />}
      <Part title="Passphrase">
        <Box>
          <Button size="small" onClick={() => setDoing('passphrase')}>
            Change it
          </Button>
        </Box>
      </Part>
      <Part title="Second factor">
        <SecondFactor me={me} zone={zone} onDone={() => router.refresh()} />
      </Part>
      <Part title="Signed in">
        {me.sessions.map((s) => (
          <Line
            key={s.id}
            onEnd={s.isThis ? null : () => void press('end-session', { session: s.id }, 'It has ended.')}
          >
            {deviceWords(s.agent)}
            {s.isThis && ', this one'}, since <Reading>{instantAt(s.since, zone)}</Reading>, last seen{' '}
            <Reading>{instantAt(s.lastSeen, zone)}</Reading>
          </Line>
        ))}
        {me.sessions.length > 1 && (
          <Box>
            <Button size="small" onClick={() => void press('end-session', {}, 'All others have ended.')}>
              End all others
            </Button>
          </Box>
        )}
      </Part>
      <Part title="Tokens for the service">
        {token && (
          <Notice live title="The new token, shown this once:">
            <Typography sx={{ overflowWrap: 'anywhere' }}>
              <Reading>{token}</Reading>
            </Typography>
          </Notice>
        )}
        {me.tokens.length === 0 && <Typography variant="body2">None: no program speaks for you.</Typography>}
        {me.tokens.map((t) => (
          <Line key={t.id} end="Revoke it" onEnd={() => void press('revoke-token', { token: t.id }, 'It is revoked.')}>
            <strong>{t.label}</strong>, {t.scope === 'read' ? 'reads' : 'reads and writes'}, since{' '}
            <Reading>{instantAt(t.since, zone)}</Reading>,{' '}
            {t.until ? (
              <>
                until <Reading>{instantAt(t.until, zone)}</Reading>
              </>
            ) : (
              'without an end'
            )}
            , {t.lastUsed ? 'last used ' : 'never used'}
            {t.lastUsed && <Reading>{instantAt(t.lastUsed, zone)}</Reading>}
          </Line>
        ))}
        <Box>
          <Button size="small" onClick={() => setDoing('token')}>
            Make a token
          </Button>
        </Box>
      </Part>
      {doing === 'passphrase' && (
        <EditSheet<{ ended: number }>
          title="Your passphrase"
          saveLabel="Change it, end all other sessions"
          fields={[
            NOW,
            { name: 'passphrase', label: 'New passphrase', sort: 'secret', help: '12 characters or more.' },
          ]}
          values={{ now: '', passphrase: '' }}
          dto={async () => (await import('@/shop/me/dto')).OwnPassphraseDto}
          url="/api/v1/me/passphrase"
          onDone={({ ended }) => {
            close();
            setSaid(
              `It is changed. ${ended === 0 ? 'You were signed in nowhere else.' : `Other sessions ended: ${ended}.`}`,
            );
            router.refresh();
          }}
          onClose={close}
        />
      )}
      {doing === 'token' && (
        <EditSheet<{ token: string }>
          title="A token"
          saveLabel="Make it"
          fields={[
            { name: 'label', label: 'What it is for' },
            {
              name: 'scope',
              label: 'It may',
              sort: 'choice',
              choices: [
                { value: 'read', label: 'read' },
                { value: 'write', label: 'read and write, as you may' },
              ],
              span: 3,
            },
            { name: 'days', label: 'Good for, days', sort: 'number', help: 'empty: until it is revoked', span: 3 },
          ]}
          values={{ label: '', scope: 'read', days: '90' }}
          dto={async () => (await import('@/shop/me/dto')).MakeTokenDto}
          url="/api/v1/me/make-token"
          body={({ days, ...v }) => ({ ...v, days: days === '' || days === null ? null : Number(days) })}
          onDone={(made) => {
            close();
            setToken(made.token);
            router.refresh();
          }}
          onClose={close}
        />
      )}
    </Box>
  );
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ display: 'grid', gap: 0.75, borderTop: '2px solid', borderColor: 'divider', pt: 1 }}
    >
      <Typography component="h2" variant="h2">
        {title}
      </Typography>
      {children}
    </Box>
  );
}

function Line({ children, end = 'End it', onEnd }: { children: ReactNode; end?: string; onEnd: (() => void) | null }) {
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
      <Typography variant="body2" sx={{ flex: '1 1 260px' }}>
        {children}
      </Typography>
      {onEnd && (
        <Button size="small" variant="text" color="inherit" onClick={onEnd}>
          {end}
        </Button>
      )}
    </Box>
  );
}
