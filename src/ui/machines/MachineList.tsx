'use client';

import Typography from '@mui/material/Typography';
import type { CustomerListView } from '@/shop/customers/dto';
import { writeListQuery, type ListQuery, type Page } from '@/shop/lists/dto';
import type { MachineListView } from '@/shop/machines/dto';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { SearchList } from '../parts/SearchList';
import { TextLink } from '../parts/TextLink';
import parts from '../parts/parts.module.css';
import type { ListColumn } from '../table/listColumn';
import { ListTable } from '../table/ListTable';
import { useGo } from '../theme/useGo';

interface Props {
  found: Page<MachineListView>;
  asked: ListQuery;
  today: string;
  /** Customers that answer to the same words. */
  customers: CustomerListView[];
}

/** All machines, by tag, serial, owner, model or words. */
export function MachineList({ found, asked, today, customers }: Props) {
  const router = useGo();
  const { words } = asked;
  return (
    <SearchList
      title="Machines"
      path="/machines"
      placeholder="Tag, serial, owner, model or the customer’s words"
      label="Search machines"
      asked={asked}
      found={found}
      noun={['machine', 'machines']}
    >
      {customers.length > 0 && (
        <Typography variant="body2" component="section" aria-label="Customers found">
          Customers:{' '}
          {customers.map((c, i) => (
            <span key={c.id}>
              {i > 0 && '; '}
              <TextLink href={`/customers/${c.id}`}>{c.name}</TextLink> <Reading>{c.phone}</Reading>
            </span>
          ))}
        </Typography>
      )}
      {found.rows.length === 0 ? (
        <Empty>
          {words
            ? `No machine answers to “${words}”. Try fewer words, or the tag.`
            : 'No machine yet. Take the first one in.'}
        </Empty>
      ) : (
        <ListTable
          name="machines"
          label="Machines found"
          columns={columns(today)}
          rows={found.rows}
          keyOf={(m) => m.id}
          sort={asked.sort}
          onSort={(sort) => router.replace(`/machines?${writeListQuery({ words, page: 0, sort })}`)}
        />
      )}
    </SearchList>
  );
}

function columns(today: string): ListColumn<MachineListView>[] {
  const isPast = (m: MachineListView) => m.nextDueOn !== null && m.nextDueOn < today;
  return [
    {
      id: 'tag',
      label: 'Tag',
      sorts: true,
      text: (m) => m.tag,
      cell: (m) => (
        <TextLink href={`/machines/${m.tag}`}>
          <Reading strong>{m.tag}</Reading>
        </TextLink>
      ),
    },
    {
      id: 'machine',
      label: 'Machine',
      sorts: true,
      text: (m) => `${m.maker} ${m.model}`,
      cell: (m) => (
        <>
          {m.maker} {m.model}
          {m.madeYear && <span> ({m.madeYear})</span>}
        </>
      ),
    },
    { id: 'owner', label: 'Owner', sorts: true, text: (m) => m.owner, cell: (m) => m.owner },
    { id: 'phone', label: 'Phone', isExtra: true, text: (m) => m.phone, cell: (m) => <Reading>{m.phone}</Reading> },
    { id: 'serial', label: 'Serial', sorts: true, text: (m) => m.serial, cell: (m) => <Reading>{m.serial}</Reading> },
    {
      id: 'last',
      label: 'Last here',
      text: (m) => m.lastHereOn ?? '',
      cell: (m) => <Reading>{m.lastHereOn ?? ''}</Reading>,
    },
    {
      id: 'due',
      label: 'Next due',
      sorts: true,
      text: (m) => m.nextDueOn ?? '',
      cell: (m) => (
        <span className={isPast(m) ? parts.past : undefined}>
          <Reading>{m.nextDueOn ?? ''}</Reading>
          {isPast(m) && ' past'}
          {m.dueItems.length > 0 && `, ${m.dueItems[0]!.toLowerCase()}`}
          {m.dueItems.length > 1 && ` and ${m.dueItems.length - 1} more`}
        </span>
      ),
    },
    {
      id: 'warranty',
      label: 'Warranty until',
      isExtra: true,
      text: (m) => m.warrantyUntil ?? '',
      cell: (m) => <Reading>{m.warrantyUntil ?? ''}</Reading>,
    },
    {
      id: 'now',
      label: 'Now',
      text: (m) => (m.openJob ? `here, job ${m.openJob}` : ''),
      cell: (m) => m.openJob && <TextLink href={`/jobs/${m.openJob}`}>here, job {m.openJob}</TextLink>,
    },
    { id: 'note', label: 'Note', isExtra: true, text: (m) => m.note, cell: (m) => m.note },
  ];
}
