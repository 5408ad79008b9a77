'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CustomerCardView } from '@/shop/customers/dto';
import { EditSheet } from '../sheet/EditSheet';
import type { EditField } from '../sheet/sheet';
import { Empty, Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import NextLink from '../theme/NextLink';
import { customerFields } from './customerFields';

const SITE: EditField[] = [
  { name: 'label', label: 'What the place is called', span: 3 },
  { name: 'address', label: 'Address', span: 3 },
  { name: 'note', label: 'How to get in, where the machines are', sort: 'long' },
];
const CONTACT: EditField[] = [
  { name: 'name', label: 'Name', span: 3 },
  { name: 'task', label: 'What for', help: 'keys, invoices, machines', span: 3 },
  { name: 'phone', label: 'Phone', span: 3 },
  { name: 'email', label: 'E-mail', span: 3 },
];

const values = (c: CustomerCardView) => ({
  name: c.name,
  kind: c.kind,
  phone: c.phone,
  email: c.email,
  address: c.address,
  standing: c.standing,
  language: c.language,
  taxExempt: c.taxExempt,
  noLetters: c.noLetters,
});

type Doing =
  | { what: 'amend' | 'merge' }
  | { what: 'put-site'; id: number | null; values: { label: string; address: string; note: string } }
  | { what: 'put-contact'; id: number | null; values: { name: string; task: string; phone: string; email: string } };

interface Props {
  card: CustomerCardView;
  mayAmend: boolean;
  mayAudit: boolean;
}

/** One customer: who they are, where, whom to ask for, and every machine of theirs. */
export function CustomerCard({ card, mayAmend, mayAudit }: Props) {
  const router = useRouter();
  const [doing, setDoing] = useState<Doing | null>(null);
  const close = () => setDoing(null);
  const done = () => {
    close();
    router.refresh();
  };
  const url = (deed: string) => `/api/v1/customers/${card.id}/${deed}`;
  const current = (c: unknown) => ({ values: values(c as CustomerCardView), version: (c as CustomerCardView).version });
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', columnGap: 2, rowGap: 0.5, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography component="h1" variant="h1">
          {card.name}
        </Typography>
        <Typography variant="body2">
          {[card.kind, card.phone, card.email, card.address].filter(Boolean).join(', ')}
        </Typography>
        <Box className="no-print" sx={{ ml: { md: 'auto' }, display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
          {mayAmend && (
            <>
              <Button size="small" onClick={() => setDoing({ what: 'amend' })}>
                Correct the card
              </Button>
              <Button size="small" onClick={() => setDoing({ what: 'merge' })}>
                Merge a double
              </Button>
            </>
          )}
          <Button size="small" href={`/api/v1/customers/${card.id}/card.vcf`} download>
            vCard
          </Button>
          {mayAudit && (
            <Button size="small" component={NextLink} href={`/shop/audit?customer=${card.id}`}>
              Audit
            </Button>
          )}
        </Box>
      </Box>
      {card.standing && <Notice title={`Always: ${card.standing}`} />}
      <Box sx={{ display: 'grid', gap: 3, gridTemplateColumns: { xs: '1fr', md: '1.7fr 1fr' }, alignItems: 'start' }}>
        <Box component="section" aria-label="Machines" sx={{ minWidth: 0, overflowX: 'auto' }}>
          <Typography component="h2" variant="h2">
            Machines
          </Typography>
          {card.machines.length === 0 ? (
            <Empty>No machine of theirs is known.</Empty>
          ) : (
            <Table size="small">
              <TableHead>
                <TableRow>
                  {['Tag', 'Machine', 'Serial', 'Next due', 'Now'].map((h) => (
                    <TableCell key={h}>{h}</TableCell>
                  ))}
                </TableRow>
              </TableHead>
              <TableBody>
                {card.machines.map((m) => {
                  const past = m.nextDueOn !== null && m.nextDueOn < card.today;
                  return (
                    <TableRow key={m.id}>
                      <TableCell>
                        <Link component={NextLink} href={`/machines/${m.tag}`}>
                          <Reading strong>{m.tag}</Reading>
                        </Link>
                      </TableCell>
                      <TableCell>
                        {m.maker} {m.model}
                      </TableCell>
                      <TableCell>
                        <Reading>{m.serial}</Reading>
                      </TableCell>
                      <TableCell sx={{ color: past ? 'bench.brass' : undefined }}>
                        <Reading strong={past}>{m.nextDueOn ?? ''}</Reading>
                        {past && ' past'}
                      </TableCell>
                      <TableCell>
                        {m.openJob && (
                          <Link component={NextLink} href={`/jobs/${m.openJob}`}>
                            here, job {m.openJob}
                          </Link>
                        )}
                      </TableCell>
                    </TableRow>
                  );
                })}
              </TableBody>
            </Table>
          )}
        </Box>
        <Box sx={{ display: 'grid', gap: 2 }}>
          <Box component="section" aria-label="Contacts">
            <Head label="Contacts">
              {mayAmend && (
                <Button
                  size="small"
                  onClick={() =>
                    setDoing({ what: 'put-contact', id: null, values: { name: '', task: '', phone: '', email: '' } })
                  }
                >
                  Add
                </Button>
              )}
            </Head>
            {card.contacts.length === 0 && <Empty>Nobody else to ask for.</Empty>}
            {card.contacts.map(({ id, ...c }) => (
              <Line
                key={id}
                onEdit={mayAmend ? () => setDoing({ what: 'put-contact', id, values: c }) : null}
                label={c.name}
              >
                <strong>{c.name}</strong>
                {c.task && `, ${c.task}`}
                <br />
                {[c.phone, c.email].filter(Boolean).join(', ')}
              </Line>
            ))}
          </Box>
          <Box component="section" aria-label="Sites">
            <Head label="Sites">
              {mayAmend && (
                <Button
                  size="small"
                  onClick={() => setDoing({ what: 'put-site', id: null, values: { label: '', address: '', note: '' } })}
                >
                  Add
                </Button>
              )}
            </Head>
            {card.sites.length === 0 && <Empty>One place only.</Empty>}
            {card.sites.map(({ id, ...s }) => (
              <Line
                key={id}
                onEdit={mayAmend ? () => setDoing({ what: 'put-site', id, values: s }) : null}
                label={s.label}
              >
                <strong>{s.label}</strong>
                {s.address && `, ${s.address}`}
                {s.note && (
                  <>
                    <br />
                    {s.note}
                  </>
                )}
              </Line>
            ))}
          </Box>
        </Box>
      </Box>
      {doing?.what === 'amend' && (
        <EditSheet<CustomerCardView>
          title={`Card of ${card.name}`}
          fields={customerFields}
          values={values(card)}
          version={card.version}
          dto={async () => (await import('@/shop/customers/dto')).AmendCustomerDto}
          url={url('amend-customer')}
          draft={`customer-${card.id}`}
          current={current}
          onDone={done}
          onClose={close}
        />
      )}
      {doing?.what === 'merge' && (
        <EditSheet<CustomerCardView>
          title={`Merge another card into ${card.name}`}
          saveLabel="Merge it into this one"
          fields={[
            {
              name: 'other',
              label: 'The double',
              sort: 'choice',
              choices: card.alike.map((c) => ({
                value: String(c.id),
                label: `${c.name}, ${c.phone || 'no phone'}, ${c.machines} machine${c.machines === 1 ? '' : 's'}`,
              })),
              help:
                card.alike.length > 0
                  ? 'Machines, jobs, sites and contacts go over to this card.'
                  : 'No card looks like this one.',
            },
          ]}
          values={{ other: '' }}
          version={card.version}
          dto={async () => (await import('@/shop/customers/dto')).MergeCustomersDto}
          url={url('merge-customers')}
          body={(v) => ({ other: v.other === '' ? null : Number(v.other) })}
          onDone={done}
          onClose={close}
        />
      )}
      {(doing?.what === 'put-site' || doing?.what === 'put-contact') && (
        <EditSheet<CustomerCardView>
          title={doing.what === 'put-site' ? 'Site' : 'Contact'}
          fields={doing.what === 'put-site' ? SITE : CONTACT}
          values={doing.values}
          version={card.version}
          dto={async () => {
            const { PutSiteDto, PutContactDto } = await import('@/shop/customers/dto');
            return doing.what === 'put-site' ? PutSiteDto : PutContactDto;
          }}
          url={url(doing.what)}
          draft={`${doing.what}-${card.id}-${doing.id ?? 'new'}`}
          body={(v) => ({ ...v, ...(doing.id === null ? {} : { id: doing.id }) })}
          current={(c) => {
            const now = c as CustomerCardView;
            const list: ({ id: number } & Record<string, unknown>)[] =
              doing.what === 'put-site' ? now.sites : now.contacts;
            const { id: _id, ...theirs } = list.find((x) => x.id === doing.id) ?? { id: 0, ...doing.values };
            return { values: theirs, version: now.version };
          }}
          onDone={done}
          onClose={close}
        />
      )}
    </Box>
  );
}

function Head({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Typography component="h2" variant="h2" sx={{ flex: 1 }}>
        {label}
      </Typography>
      {children}
    </Box>
  );
}

function Line({ label, onEdit, children }: { label: string; onEdit: (() => void) | null; children: React.ReactNode }) {
  return (
    <Box
      sx={{ display: 'flex', gap: 1, alignItems: 'start', borderBottom: '1px solid', borderColor: 'divider', py: 0.5 }}
    >
      <Typography variant="body2" sx={{ flex: 1 }}>
        {children}
      </Typography>
      {onEdit && (
        <Button size="small" variant="text" color="inherit" onClick={onEdit} aria-label={`Correct ${label}`}>
          Correct
        </Button>
      )}
    </Box>
  );
}
