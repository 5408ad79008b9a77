'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CustomerListView } from '@/shop/customers/dto';
import type { MachineCardView } from '@/shop/machines/dto';
import { ask } from '../asking/ask';
import { EditSheet } from '../sheet/EditSheet';
import { Notice } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { sendOnce } from '../parts/sendOnce';
import { readNumber } from '../parts/readNumber';
import { Chooser } from '../parts/Chooser';
import Dialog from '@mui/material/Dialog';
import Typography from '@mui/material/Typography';
import NextLink from '../theme/NextLink';

interface Props {
  card: MachineCardView;
  /** An owner or the counter: may give the machine to another owner, and merge books. */
  mayMove: boolean;
  mayAudit: boolean;
}

const values = (c: MachineCardView) => ({
  modelId: String(c.modelId),
  serial: c.serial,
  madeYear: c.madeYear === null ? '' : String(c.madeYear),
  purchasedOn: c.purchasedOn ?? '',
  warrantyUntil: c.warrantyUntil ?? '',
  hoursPerWeek: String(c.hoursPerWeek),
  siteId: c.siteId === null ? '' : String(c.siteId),
  pets: c.pets,
  note: c.note,
});

/** What the sheet has let through is a number. */
const number = (typed: unknown) => readNumber(String(typed)) ?? NaN;
const orNull = (typed: unknown) => (String(typed).trim() === '' ? null : String(typed));

/** What can be done to a machine's card: corrected, given to another owner, merged with its double. */
export function MachineEdits({ card, mayMove, mayAudit }: Props) {
  const router = useRouter();
  const [doing, setDoing] = useState<'amend' | 'owner' | 'merge' | null>(null);
  const close = () => setDoing(null);
  // Read when somebody corrects the card: a shop has hundreds, and most who look at a card correct nothing.
  const { data: models, isError } = useQuery({
    queryKey: ['models'],
    queryFn: ({ signal }) => ask<{ rows: { id: number; maker: string; name: string }[] }>('/api/v1/models', signal),
    select: ({ rows }) => rows,
    enabled: doing === 'amend',
  });
  const url = (deed: string) => `/api/v1/machines/${card.tag}/${deed}`;
  return (
    <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
      <Button size="small" onClick={() => setDoing('amend')}>
        Correct the card
      </Button>
      {mayMove && (
        <Button size="small" onClick={() => setDoing('owner')}>
          Another owner
        </Button>
      )}
      {mayMove && (
        <Button size="small" onClick={() => setDoing('merge')}>
          Merge a double
        </Button>
      )}
      <Button size="small" component={NextLink} href={`/machines/${card.tag}/tag`}>
        Tag
      </Button>
      <Button size="small" href={`/api/v1/machines/${card.tag}/book.pdf`}>
        Book as PDF
      </Button>
      <Button size="small" href={`/api/v1/machines/${card.tag}/book.json`} download>
        as JSON
      </Button>
      {mayAudit && (
        <Button size="small" component={NextLink} href={`/shop/audit?machine=${card.id}`}>
          Audit
        </Button>
      )}
      {doing === 'amend' && isError && <Notice live title="The models cannot be read now: try again in a moment." />}
      {doing === 'amend' && models && (
        <EditSheet<MachineCardView>
          title={`Card of ${card.tag}`}
          fields={[
            {
              name: 'modelId',
              label: 'Model',
              sort: 'choice',
              choices: models.map((m) => ({ value: String(m.id), label: `${m.maker} ${m.name}` })),
              span: 4,
            },
            { name: 'serial', label: 'Serial', span: 2 },
            { name: 'madeYear', label: 'Made in', sort: 'number', help: 'year', span: 2 },
            { name: 'purchasedOn', label: 'Bought on', sort: 'date', span: 2 },
            { name: 'warrantyUntil', label: 'Warranty until', sort: 'date', help: 'empty: by the model', span: 2 },
            { name: 'hoursPerWeek', label: 'Use', sort: 'number', help: 'hours a week', span: 2 },
            {
              name: 'siteId',
              label: 'Site',
              sort: 'choice',
              choices: [
                { value: '', label: 'none' },
                ...card.sites.map((s) => ({ value: String(s.id), label: s.label })),
              ],
              span: 4,
            },
            { name: 'pets', label: 'Pets at home', sort: 'tick' },
            {
              name: 'note',
              label: 'For the next technician',
              sort: 'long',
              help: 'Shown in every job of this machine.',
            },
          ]}
          values={values(card)}
          version={card.version}
          dto={async () => (await import('@/shop/amendMachine/dto')).AmendMachineDto}
          url={url('amend-machine')}
          draft={`machine-${card.id}`}
          body={(v) => ({
            modelId: number(v.modelId),
            siteId: orNull(v.siteId) === null ? null : number(v.siteId),
            serial: v.serial,
            madeYear: orNull(v.madeYear) === null ? null : number(v.madeYear),
            purchasedOn: orNull(v.purchasedOn),
            warrantyUntil: orNull(v.warrantyUntil),
            pets: v.pets,
            hoursPerWeek: number(v.hoursPerWeek),
            note: v.note,
          })}
          current={(c) => ({ values: values(c as MachineCardView), version: (c as MachineCardView).version })}
          onDone={() => {
            close();
            router.refresh();
          }}
          onClose={close}
        />
      )}
      {doing === 'owner' && <NewOwner card={card} url={url('change-owner')} onClose={close} />}
      {doing === 'merge' && (
        <EditSheet<MachineCardView>
          title={`Merge another book into ${card.tag}`}
          saveLabel="Merge it into this one"
          fields={[
            {
              name: 'other',
              label: 'Tag of the double',
              help:
                card.alike.length > 0
                  ? `May be the same: ${card.alike.map((a) => `${a.tag} (${a.maker} ${a.model}, ${a.serial || 'no serial'}, ${a.owner})`).join('; ')}`
                  : 'Its jobs, parts, readings and photographs go over; its tag leads here from then on.',
            },
          ]}
          values={{ other: '' }}
          version={card.version}
          dto={async () => (await import('@/shop/amendMachine/dto')).MergeMachinesDto}
          url={url('merge-machines')}
          onDone={() => {
            close();
            router.refresh();
          }}
          onClose={close}
        />
      )}
    </Box>
  );
}

function NewOwner({ card, url, onClose }: { card: MachineCardView; url: string; onClose: () => void }) {
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const give = async (customer: CustomerListView) => {
    const sent = await sendOnce(url, { key: crypto.randomUUID(), version: card.version, customerId: customer.id });
    if (!sent.ok) {
      // Somebody changed the card meanwhile: it is shown anew, and the next choice goes to it as it is then.
      if (sent.refusal.status === 409) router.refresh();
      return setTrouble(sent.refusal.fields[0]?.message ?? sent.refusal.title);
    }
    onClose();
    router.refresh();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs" aria-labelledby="owner-title">
      <Box sx={{ p: 2.5, display: 'grid', gap: 1.5 }}>
        <Typography id="owner-title" component="h2" variant="h2">
          Whose is {card.tag} now?
        </Typography>
        <Chooser<CustomerListView>
          label="Name or phone"
          autoFocus
          url={(q) => `/api/v1/customers?q=${encodeURIComponent(q)}`}
          keyOf={(c) => c.id}
          onChoose={(c) => void give(c)}
          nothing="No such customer: add them under Customers."
          problem={trouble ?? undefined}
          row={(c) => (
            <>
              {c.name} <Reading>{c.phone}</Reading>
            </>
          )}
        />
        <Button onClick={onClose}>Close</Button>
      </Box>
    </Dialog>
  );
}
