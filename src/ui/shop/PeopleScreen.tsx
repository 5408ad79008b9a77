'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { PersonView } from '@/shop/people/dto';
import { deviceWords } from '../parts/deviceWords';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { instantAt } from '../parts/instants';
import { Notice } from '../parts/Notice';
import { sendOnce } from '../parts/sendOnce';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';

const ROLE: EditField = {
  name: 'role',
  label: 'What they do',
  sort: 'choice',
  choices: [
    { value: 'owner', label: 'owner: everything' },
    { value: 'technician', label: 'technician: the bench, and the counter’s work' },
    { value: 'counter', label: 'counter: takes in, hands back, keeps the cards' },
  ],
};
const SECRET: EditField = {
  name: 'passphrase',
  label: 'Passphrase',
  sort: 'secret',
  help: '12 characters or more; tell it to them in person.',
};

type Doing = { what: 'add' } | { what: 'amend' | 'reset'; person: PersonView };

/** Who works here: added, locked, given a new passphrase, their sessions listed and ended. */
export function PeopleScreen({ people, zone }: { people: PersonView[]; zone: string }) {
  const router = useRouter();
  const [doing, setDoing] = useState<Doing | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const close = () => setDoing(null);
  const done = () => {
    close();
    router.refresh();
  };
  const end = async (person: PersonView, session?: number) => {
    const sent = await sendOnce(`/api/v1/people/${person.id}/end-session`, {
      key: crypto.randomUUID(),
      version: person.version,
      ...(session ? { session } : {}),
    });
    setTrouble(sent.ok ? null : (sent.refusal.fields[0]?.message ?? sent.refusal.title));
    router.refresh();
  };
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography component="h1" variant="h2">
          People
        </Typography>
        <Button size="small" variant="contained" onClick={() => setDoing({ what: 'add' })}>
          Add a person
        </Button>
      </Box>
      {trouble && <Notice live title={trouble} />}
      {people.map((p) => (
        <Box
          component="section"
          key={p.id}
          aria-label={p.name}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', md: '260px 1fr auto' },
            gap: 2,
            alignItems: 'start',
            borderBottom: '1px solid',
            borderColor: 'divider',
            pb: 1,
          }}
        >
          <Typography variant="body2">
            <strong>{p.name}</strong>, {p.role}
            {p.locked && ', locked'}
            <br />
            signs in as <Reading>{p.signIn}</Reading>
          </Typography>
          <Box>
            {p.sessions.length === 0 && <Typography variant="body2">Signed in nowhere.</Typography>}
            {p.sessions.slice(0, 6).map((s) => (
              <Box key={s.id} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
                <Typography variant="body2" sx={{ flex: '1 1 200px' }}>
                  {deviceWords(s.agent)}, since <Reading>{instantAt(s.since, zone)}</Reading>, last seen{' '}
                  <Reading>{instantAt(s.lastSeen, zone)}</Reading>
                </Typography>
                <Button size="small" variant="text" color="inherit" onClick={() => void end(p, s.id)}>
                  End it
                </Button>
              </Box>
            ))}
            {p.sessions.length > 6 && <Typography variant="body2">and {p.sessions.length - 6} more</Typography>}
          </Box>
          <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
            <Button size="small" onClick={() => setDoing({ what: 'amend', person: p })}>
              Change or lock
            </Button>
            <Button size="small" onClick={() => setDoing({ what: 'reset', person: p })}>
              New passphrase
            </Button>
            {p.sessions.length > 1 && (
              <Button size="small" onClick={() => void end(p)}>
                End all
              </Button>
            )}
            <Button size="small" component={NextLink} href={`/shop/audit?person=${p.id}`}>
              Audit
            </Button>
          </Box>
        </Box>
      ))}
      {doing?.what === 'add' && (
        <EditSheet<{ id: number }>
          title="A new person"
          saveLabel="Add them"
          fields={[
            { name: 'name', label: 'Name', span: 3 },
            { name: 'signIn', label: 'Signs in as', span: 3 },
            ROLE,
            SECRET,
          ]}
          values={{ name: '', signIn: '', role: 'technician', passphrase: '' }}
          dto={async () => (await import('@/shop/people/dto')).AddPersonDto}
          url="/api/v1/people"
          onDone={done}
          onClose={close}
        />
      )}
      {doing?.what === 'amend' && (
        <EditSheet<PersonView>
          title={doing.person.name}
          fields={[
            { name: 'name', label: 'Name' },
            ROLE,
            { name: 'locked', label: 'Locked: signed out at once, cannot sign in', sort: 'tick' },
          ]}
          values={personValues(doing.person)}
          version={doing.person.version}
          dto={async () => (await import('@/shop/people/dto')).AmendPersonDto}
          url={`/api/v1/people/${doing.person.id}/amend-person`}
          draft={`person-${doing.person.id}`}
          current={(p) => ({ values: personValues(p as PersonView), version: (p as PersonView).version })}
          onDone={done}
          onClose={close}
        />
      )}
      {doing?.what === 'reset' && (
        <EditSheet<PersonView>
          title={`New passphrase for ${doing.person.name}`}
          saveLabel="Set it, end all sessions and tokens"
          fields={[
            SECRET,
            { name: 'dropFactor', label: 'Their authenticator is lost: drop the second factor', sort: 'tick' },
          ]}
          values={{ passphrase: '', dropFactor: false }}
          version={doing.person.version}
          dto={async () => (await import('@/shop/people/dto')).ResetPassphraseDto}
          url={`/api/v1/people/${doing.person.id}/reset-passphrase`}
          onDone={done}
          onClose={close}
        />
      )}
    </Box>
  );
}

const personValues = (p: PersonView) => ({ name: p.name, role: p.role, locked: p.locked });
