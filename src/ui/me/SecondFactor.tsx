'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { FactorBegun, MeView } from '@/shop/me/dto';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { instantAt } from '../parts/instants';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';

const NOW: EditField = { name: 'now', label: 'Passphrase, as it is now', sort: 'secret' };

type Step =
  { at: 'rest' } | { at: 'begin' | 'drop' } | { at: 'confirm'; begun: FactorBegun } | { at: 'set'; codes: string[] };

/** A second factor: read by an authenticator, confirmed by its first code, with recovery codes for the day it is lost. */
export function SecondFactor({ me, zone, onDone }: { me: MeView; zone: string; onDone: () => void }) {
  const [step, setStep] = useState<Step>({ at: 'rest' });
  const rest = () => setStep({ at: 'rest' });
  return (
    <>
      {step.at === 'set' && (
        <Notice
          live
          title="It is set. Write these recovery codes on paper: each opens once when the authenticator is lost."
        >
          <Box
            component="ul"
            aria-label="Recovery codes"
            sx={{ columns: 2, listStyle: 'none', p: 0, m: 0, maxWidth: 320 }}
          >
            {step.codes.map((c) => (
              <li key={c}>
                <Reading>{c}</Reading>
              </li>
            ))}
          </Box>
        </Notice>
      )}
      <Typography variant="body2">
        {me.factor ? (
          <>
            Asked for since <Reading>{instantAt(me.factor.since, zone)}</Reading>; recovery codes left:{' '}
            <Reading>{me.factor.codesLeft}</Reading>
          </>
        ) : me.role === 'owner' ? (
          'None. An owner can take all data out: a second factor keeps a guessed passphrase from doing so.'
        ) : (
          'None. A passphrase alone opens the shop for you.'
        )}
      </Typography>
      {step.at === 'confirm' && (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center' }}>
          <Box
            component="img"
            alt="Square code for an authenticator"
            src={`data:image/svg+xml;utf8,${encodeURIComponent(step.begun.square)}`}
            sx={{ width: 180, height: 180, bgcolor: '#fff', p: 1, border: '1px solid', borderColor: 'divider' }}
          />
          <Typography variant="body2" sx={{ maxWidth: 380 }}>
            Read this with the authenticator on your phone, or type the letters:{' '}
            <Reading>{step.begun.letters.replace(/(.{4})/g, '$1 ').trim()}</Reading>
          </Typography>
        </Box>
      )}
      {step.at === 'confirm' && (
        <FirstCode onCodes={(codes) => (setStep({ at: 'set', codes }), onDone())} onClose={rest} />
      )}
      {step.at !== 'confirm' && (
        <Box>
          {me.factor ? (
            <Button size="small" onClick={() => setStep({ at: 'drop' })}>
              Do without it
            </Button>
          ) : (
            <Button size="small" onClick={() => setStep({ at: 'begin' })}>
              Set one
            </Button>
          )}
        </Box>
      )}
      {step.at === 'begin' && (
        <EditSheet<FactorBegun>
          title="A second factor"
          saveLabel="Show the code"
          fields={[NOW]}
          values={{ now: '' }}
          dto={async () => (await import('@/shop/me/dto')).BeginFactorDto}
          url="/api/v1/me/begin-factor"
          onDone={(begun) => setStep({ at: 'confirm', begun })}
          onClose={rest}
        />
      )}
      {step.at === 'drop' && (
        <EditSheet<{ dropped: boolean }>
          title="Without a second factor"
          saveLabel="Drop it"
          fields={[NOW]}
          values={{ now: '' }}
          dto={async () => (await import('@/shop/me/dto')).DropFactorDto}
          url="/api/v1/me/drop-factor"
          onDone={() => {
            rest();
            onDone();
          }}
          onClose={rest}
        />
      )}
    </>
  );
}

/** The first code, typed beside the square it came from. */
function FirstCode({ onCodes, onClose }: { onCodes: (codes: string[]) => void; onClose: () => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      <Button size="small" variant="contained" onClick={() => setOpen(true)}>
        I have read it: type its code
      </Button>
      <Button size="small" onClick={onClose}>
        Leave it
      </Button>
      {open && (
        <EditSheet<{ codes: string[] }>
          title="The code that it shows"
          saveLabel="Confirm"
          fields={[{ name: 'code', label: 'Six digits' }]}
          values={{ code: '' }}
          dto={async () => (await import('@/shop/me/dto')).ConfirmFactorDto}
          url="/api/v1/me/confirm-factor"
          onDone={({ codes }) => onCodes(codes)}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}
