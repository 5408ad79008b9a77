'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { TermsView } from '@/shop/terms/dto';
import type { MailView, OutboxView } from '@/shop/mail/dto';
import type { LettersView } from '@/shop/rounds/dto';
import { DueLetters } from './DueLetters';
import { OwnersLanguages } from './OwnersLanguages';
import { EditSheet } from '../sheet/EditSheet';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { send } from '../parts/post';
import { TermList } from '../parts/TermList';
import NextLink from '../theme/NextLink';

const values = (m: MailView) => ({
  host: m.host,
  port: String(m.port),
  tls: m.tls,
  user: m.user,
  secret: '',
  from: m.from,
  publicUrl: m.publicUrl,
});

const STATES = { waiting: 'on its way', sent: 'sent', failed: 'not delivered' };

/** What was sent to owners, what waits, and how it goes out. */
export function MessagesScreen({
  terms,
  mail,
  outbox,
  letters,
  zone,
  mayAmend,
}: {
  terms: TermsView;
  mail: MailView;
  outbox: OutboxView;
  letters: LettersView;
  zone: string;
  mayAmend: boolean;
}) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  const again = async (id: number) => {
    await send('POST', `/api/v1/messages/${id}/send-again`, { key: crypto.randomUUID() });
    router.refresh();
  };
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Box component="section" aria-label="Sent">
        <Typography component="h1" variant="h2">
          To owners
        </Typography>
        {outbox.messages.length === 0 && <Empty>Nothing was written yet: it is done on a job, under Agree.</Empty>}
        {outbox.messages.map((m) => (
          <Box key={m.id} sx={{ py: 0.75, borderBottom: '1px solid', borderColor: 'divider' }}>
            <Typography variant="body2">
              <strong>{m.subject}</strong> to {m.to}, {dayAt(m.at, zone)}
              {m.job !== null && (
                <>
                  ,{' '}
                  <Link component={NextLink} href={`/jobs/${m.job}/agree`}>
                    job {m.job}
                  </Link>
                </>
              )}
            </Typography>
            <Typography variant="body2" sx={{ color: m.state === 'failed' ? 'bench.hazard' : 'text.secondary' }}>
              {STATES[m.state]}
              {m.lastError && `, tried ${m.tries === 1 ? 'once' : `${m.tries} times`}: ${m.lastError}`}
            </Typography>
            {m.state === 'failed' && (
              <Button size="small" onClick={() => void again(m.id)}>
                Try again
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gap: 3 }}>
        <Box component="section" aria-label="How they go out" sx={{ display: 'grid', gap: 1 }}>
          <Typography component="h2" variant="h2">
            How they go out
          </Typography>
          {!outbox.isSetUp && <Notice title="No mail server is set up: nothing goes out." />}
          <TermList
            rows={[
              ['Mail server', mail.host ? `${mail.host}, port ${mail.port}${mail.tls ? ', TLS' : ''}` : 'none'],
              ['Signs in as', mail.user || 'nobody'],
              ['Its secret', mail.hasSecret ? 'kept, enciphered' : 'none'],
              ['From', mail.from || 'not said'],
              ['Owners’ pages at', mail.publicUrl || 'the server’s own address'],
            ]}
          />
          {mayAmend && (
            <Box>
              <Button size="small" onClick={() => setOpen(true)}>
                Change
              </Button>
            </Box>
          )}
        </Box>
        <DueLetters letters={letters} mayAmend={mayAmend} />
        <OwnersLanguages terms={terms} mayAmend={mayAmend} />
        {outbox.standIn && (
          <Box component="section" aria-label="Simulated mailbox">
            <Typography component="h2" variant="h2">
              Simulated mailbox
            </Typography>
            <Typography variant="body2" sx={{ color: 'text.secondary' }}>
              What the simulated mail server took; it delivers nothing.
            </Typography>
            {outbox.standIn.length === 0 && <Empty>Empty.</Empty>}
            {outbox.standIn.map((m) => (
              <Box key={m.id} sx={{ py: 0.75, borderBottom: '1px solid', borderColor: 'divider' }}>
                <Typography variant="body2">
                  <strong>{m.subject}</strong> to {m.to.join(', ')}
                </Typography>
                <Typography variant="body2" sx={{ whiteSpace: 'pre-wrap', overflowWrap: 'anywhere' }}>
                  {m.text.trim()}
                </Typography>
              </Box>
            ))}
          </Box>
        )}
      </Box>
      {open && (
        <EditSheet<MailView>
          title="How messages go out"
          fields={[
            { name: 'host', label: 'Mail server', help: 'empty for none', span: 4 },
            { name: 'port', label: 'Port', sort: 'number', span: 2 },
            { name: 'tls', label: 'TLS from the first byte', sort: 'tick' },
            { name: 'user', label: 'Signs in as', span: 3 },
            {
              name: 'secret',
              label: 'Secret',
              sort: 'secret',
              help: mail.hasSecret ? 'empty keeps the one there is' : '',
              span: 3,
            },
            { name: 'from', label: 'From', help: 'such as Shop <desk@shop.example>' },
            { name: 'publicUrl', label: 'Owners’ pages are reached at', help: 'such as https://shop.example' },
          ]}
          values={values(mail)}
          version={mail.version}
          dto={async () => (await import('@/shop/mail/dto')).AmendMailDto}
          url="/api/v1/shop/mail"
          body={({ secret, port, ...v }) => ({ ...v, port: Number(port), ...(secret ? { secret } : {}) })}
          current={(s) => ({ values: values(s as MailView), version: (s as MailView).version })}
          onDone={() => {
            setOpen(false);
            router.refresh();
          }}
          onClose={() => setOpen(false)}
        />
      )}
    </Box>
  );
}
