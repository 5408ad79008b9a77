'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { habitWords } from '@/core/service/dueWords';
import { knowledge } from '@/knowledge';
import type { LifeView, LivesView } from '@/shop/lives/dto';
import { ask } from '../asking/ask';
import { dayAt } from '../parts/instants';
import { Empty, Notice } from '../parts/Notice';
import { send } from '../parts/post';
import { Reading } from '../parts/Reading';
import { useGo } from '../theme/useGo';
import { FleetCurve } from './LifeCharts';
import { LifePanel } from './LifePanel';
import { PlansFile } from './PlansFile';

const years = (n: number) => `${n < 10 ? n.toFixed(1) : Math.round(n)} years`;
const percent = (x: number) => `${Math.round(100 * x)} %`;

/** How long parts last in this shop, how soon machines come again and with what; nothing of it counts until the owner says so. */
export function LivesScreen({ view, mayTake }: { view: LivesView; mayTake: boolean }) {
  const router = useRouter();
  const go = useGo();
  const [fault, setFault] = useState(view.faults[0]?.fault ?? null);
  const {
    data: life,
    dataUpdatedAt,
    isError: trouble,
    refetch,
  } = useQuery({
    queryKey: ['life', view.kind, fault],
    queryFn: ({ signal }) => ask<LifeView>(`/api/v1/lives/life?kind=${view.kind}&fault=${fault}`, signal),
    enabled: fault !== null,
    placeholderData: keepPreviousData,
  });
  const again = () => {
    void refetch();
    router.refresh();
  };
  return (
    <Box sx={{ display: 'grid', gap: 2.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
      <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}>
        <Typography component="h1" variant="h2">
          How long parts last
        </Typography>
        <TextField
          select
          size="small"
          label="Kind"
          value={view.kind}
          onChange={(e) => go.push(`/shop/lives?kind=${e.target.value}`)}
          sx={{ width: 270 }}
        >
          {knowledge.kinds.map((k) => (
            <MenuItem key={k.id} value={k.id}>
              {k.label}
            </MenuItem>
          ))}
        </TextField>
        <PlansFile kind={view.kind} mayTake={mayTake} onTaken={again} />
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'minmax(0, 0.8fr) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Box component="section" aria-label="Faults" sx={{ minWidth: 0, overflowX: 'auto' }}>
          {view.faults.length === 0 ? (
            <Empty>Nothing of this kind wears that lives are kept of.</Empty>
          ) : (
            <Table size="small">
              <TableHead>
                <TableRow>
                  <TableCell>What wears</TableCell>
                  <TableCell align="right">Seen here</TableCell>
                  <TableCell align="right">Usual life</TableCell>
                  <TableCell align="right">This shop’s</TableCell>
                </TableRow>
              </TableHead>
              <TableBody>
                {view.faults.map((f) => (
                  <TableRow key={f.fault} selected={f.fault === fault}>
                    <TableCell>
                      <Button
                        variant="text"
                        color="inherit"
                        size="small"
                        aria-pressed={f.fault === fault}
                        onClick={() => setFault(f.fault)}
                        sx={{ textAlign: 'left', justifyContent: 'flex-start', minHeight: 30, py: 0 }}
                      >
                        {f.label}
                      </Button>
                    </TableCell>
                    <TableCell align="right">
                      <Reading>{f.confirmed}</Reading>
                    </TableCell>
                    <TableCell align="right">{years(f.usual.years)}</TableCell>
                    <TableCell align="right">
                      {f.own ? <Reading strong>{years(f.own.years)}</Reading> : 'not taken over'}
                    </TableCell>
                  </TableRow>
                ))}
              </TableBody>
            </Table>
          )}
        </Box>
        <Box sx={{ minWidth: 0 }}>
          {trouble && <Notice live title="The life could not be read." />}
          {life && life.fault === fault && (
            <LifePanel
              key={`${life.fault} ${dataUpdatedAt}`}
              life={life}
              isOwn={isOwn(view, life.fault)}
              mayTake={mayTake}
              onTaken={again}
            />
          )}
          {life?.fault !== fault && !trouble && <Empty>Reading the history …</Empty>}
        </Box>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 3,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'repeat(3, minmax(0, 1fr))' },
          alignItems: 'start',
        }}
      >
        <Box component="section" aria-label="Failures of a machine">
          <Typography component="h2" variant="h2">
            Failures of a machine
          </Typography>
          {view.failures.length === 0 ? (
            <Empty>No machine of this kind has come twice.</Empty>
          ) : (
            <FleetCurve points={view.failures} machines={view.machines} />
          )}
        </Box>
        <Shares
          title="What brings it again within a year"
          empty="None came again yet."
          rows={view.causes.map((c) => [c.label, percent(c.share)])}
        />
        <Shares
          title="Back within 90 days with the same"
          empty="None was handed back yet."
          rows={view.comebacks.map((c) => [
            c.label,
            `${c.often} of ${c.of}`,
            `${percent(c.low)} to ${percent(c.high)}`,
          ])}
        />
      </Box>
      {view.intervals.length > 0 && (
        <Box component="section" aria-label="Intervals of the shop’s own">
          <Typography component="h2" variant="h2">
            Intervals of the shop’s own
          </Typography>
          {view.intervals.map((i) => (
            <Box key={i.item} sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
              <Typography variant="body2" sx={{ flex: 1 }}>
                {i.label}: every{' '}
                <strong>
                  {habitWords({
                    ...(i.days ? { days: i.days } : {}),
                    ...(i.hours ? { hours: i.hours } : {}),
                    ...(i.uses ? { uses: i.uses } : {}),
                  })}
                </strong>
                {i.why && `; ${i.why}`}. {i.by}, {dayAt(i.at, view.zone)}
              </Typography>
              {mayTake && (
                <Button
                  size="small"
                  variant="text"
                  color="inherit"
                  onClick={async () => {
                    const gone = {
                      key: crypto.randomUUID(),
                      kind: i.kind,
                      item: i.item,
                      days: null,
                      hours: null,
                      uses: null,
                      why: '',
                    };
                    if ((await send('POST', '/api/v1/lives/interval', gone)).ok) again();
                  }}
                >
                  the bench’s habit again
                </Button>
              )}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  );
}

const isOwn = (view: LivesView, fault: string) => view.faults.some((f) => f.fault === fault && f.own !== null);

function Shares({ title, empty, rows }: { title: string; empty: string; rows: string[][] }) {
  return (
    <Box component="section" aria-label={title}>
      <Typography component="h2" variant="h2">
        {title}
      </Typography>
      {rows.length === 0 && <Empty>{empty}</Empty>}
      {rows.map(([label, ...rest]) => (
        <Box key={label} sx={{ display: 'flex', gap: 1.5, borderBottom: '1px solid', borderColor: 'divider', py: 0.3 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {label}
          </Typography>
          {rest.map((text, i) => (
            <Typography key={i} variant="body2" sx={{ color: i > 0 ? 'text.secondary' : undefined }}>
              <Reading>{text}</Reading>
            </Typography>
          ))}
        </Box>
      ))}
    </Box>
  );
}
