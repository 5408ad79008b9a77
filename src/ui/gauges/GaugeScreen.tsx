'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { gaugeById, gauges, type AnyGauge } from '@/core/gauges/catalogue';
import type { RawValues } from '@/core/gauges/fields';
import type { InstrumentCard } from '@/core/gauges/gauge';
import { readFields } from '@/core/gauges/readFields';
import { withUnit, type UnitSystem } from '@/core/units/unitSystem';
import type { JobFacts } from '@/shop/jobView/dto';
import { draftKeeper } from '../parts/draftKeeper';
import { Empty } from '../parts/Notice';
import NextLink from '../theme/NextLink';
import { AboutGauge } from './AboutGauge';
import { GaugeForm } from './GaugeForm';
import { GaugePlaces } from './places/GaugePlaces';
import { GaugeResult } from './GaugeResult';
import { KeepUsual } from './KeepUsual';
import { Onward } from './Onward';
import { useReckoned } from './useReckoned';

// What a result does in a job needs all that is known of machines: fetched where there is a job.
const JobUses = dynamic(async () => (await import('./JobUses')).JobUses);

export interface GaugeDesk {
  units: UnitSystem;
  mainsV: number;
  today: string;
  zone: string;
  usual: Record<string, RawValues>;
  instruments: readonly InstrumentCard[];
}

interface Props {
  name: string;
  desk: GaugeDesk;
  /** The job that it is used in. */
  job?: JobFacts;
  /** Fields that another gauge or a kept result fills. */
  filled: RawValues;
  /** The person may keep what the shop usually types. */
  mayKeepUsual: boolean;
}

/** What a gauge starts with: first choices, what is nearly always the same, and what the shop usually types. */
function startOf(gauge: AnyGauge, usual: RawValues | undefined): RawValues {
  const start: Record<string, unknown> = {};
  for (const [name, field] of Object.entries(gauge.fields)) {
    if (field.sort === 'choice') start[name] = field.options[0]!.id;
    else if (gauge.usual.includes(name)) start[name] = gauge.example[name];
  }
  return { ...start, ...usual };
}

/** One gauge: the fields at the left, the answer at the right, living with every key. */
export function GaugeScreen({ name, desk, job, filled, mayKeepUsual }: Props) {
  const gauge = gaugeById(name)!;
  const { units } = desk;
  const isFilled = Object.keys(filled).length > 0;
  const [typed, setTyped] = useState<RawValues>(() => ({ ...startOf(gauge, desk.usual[name]), ...filled }));
  // What is typed for one job is not another's.
  const [draft] = useState(() => draftKeeper(`gauge-${name}${job ? `-${job.id}` : ''}`));
  const [at, setAt] = useState<string | null>(null);
  const offers = useMemo(() => ({ instrument: desk.instruments.map((i) => i.name) }), [desk.instruments]);
  const touched = useRef(isFilled);
  useEffect(() => {
    let here = true;
    void draft.restore().then((kept) => {
      if (here && kept && !touched.current) setTyped((t) => ({ ...t, ...(kept as RawValues) }));
    });
    return () => {
      here = false;
    };
  }, [draft]);
  const change = (next: RawValues) => {
    touched.current = true;
    setTyped(next);
    draft.keep(withoutFiles(gauge, next));
  };
  const raw = useMemo(() => withUnits(gauge, typed, units), [gauge, typed, units]);
  const around = useMemo(
    () => ({ mainsV: desk.mainsV, today: desk.today, units, instruments: desk.instruments }),
    [desk.mainsV, desk.today, desk.instruments, units],
  );
  const { reckoned, working, stopped, cancel } = useReckoned(gauge, raw, around);
  const problems = useMemo(() => {
    const own = readFields(gauge.fields, raw).problems;
    const all = own.length > 0 ? own : (reckoned?.problems ?? []);
    return new Map(all.map((p) => [p.field, p.message]));
  }, [gauge, raw, reckoned]);
  const answer = problems.size === 0 ? reckoned?.answer : undefined;
  const clear = useCallback(() => {
    touched.current = true;
    void draft.drop();
    setTyped(startOf(gauge, desk.usual[name]));
  }, [draft, gauge, desk.usual, name]);
  const missing = [...problems]
    .filter(([, m]) => m === 'Needed.' || m.startsWith('Nothing is written'))
    .map(([f]) => gauge.fields[f]!.label.toLowerCase());

  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '170px minmax(0, 1fr)' },
        '@media print': { display: 'block', '& details:not([open]), & .MuiFormHelperText-root': { display: 'none' } },
      }}
    >
      <GaugeRail current={name} job={job?.id} />
      <Box sx={{ display: 'grid', gap: 1.75, minWidth: 0, alignContent: 'start' }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'baseline' }}>
          <Typography component="h1" variant="h1">
            {gauge.label}
          </Typography>
          <Typography variant="body2" sx={{ flex: '1 1 260px' }}>
            {gauge.purpose}
          </Typography>
          {job && (
            <Link component={NextLink} href={`/jobs/${job.id}/${job.stage === 'closed' ? 'hand-back' : job.stage}`}>
              Job {job.id}, {job.machine.tag}
            </Link>
          )}
        </Box>
        {answer && (
          // On a phone the result lies below the fields: its one line stays in sight while typing.
          <Box
            aria-hidden
            className="no-print"
            sx={{
              display: { xs: 'block', md: 'none' },
              position: 'sticky',
              top: 0,
              zIndex: 2,
              bgcolor: 'bench.well',
              px: 1.5,
              py: 1,
              fontWeight: 600,
            }}
          >
            {answer.says}
          </Box>
        )}
        <Box
          sx={{
            display: 'grid',
            gap: 3,
            gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 5fr) minmax(0, 6fr)' },
            // On paper both stand side by side, whatever the width.
            '@media print': { gridTemplateColumns: 'minmax(0, 5fr) minmax(0, 7fr)', gap: 2 },
            alignItems: 'start',
          }}
        >
          <Box sx={{ display: 'grid', gap: 1.5, minWidth: 0 }}>
            <GaugePlaces gauge={gauge} typed={typed} at={at} />
            <GaugeForm
              fields={gauge.fields}
              typed={typed}
              units={units}
              problems={problems}
              offers={offers}
              onAt={setAt}
              onType={(field, value) => change({ ...typed, [field]: value })}
            />
            <Box className="no-print" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
              <Button size="small" onClick={() => change({ ...startOf(gauge, undefined), ...gauge.example })}>
                Fill in the worked example
              </Button>
              <Button size="small" variant="text" color="inherit" onClick={clear}>
                Clear
              </Button>
              <Button size="small" variant="text" color="inherit" onClick={() => window.print()}>
                Print
              </Button>
              {mayKeepUsual && <KeepUsual gauge={gauge} typed={typed} />}
            </Box>
            <AboutGauge gauge={gauge} />
          </Box>
          <Box sx={{ display: 'grid', gap: 2, minWidth: 0 }}>
            {working !== null && (
              <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
                <LinearProgress
                  variant="determinate"
                  value={100 * working}
                  aria-label="Reckoning"
                  sx={{ flex: 1, height: 8 }}
                />
                <Button size="small" onClick={cancel}>
                  Stop reckoning
                </Button>
              </Box>
            )}
            {answer ? (
              <>
                <GaugeResult answer={answer} units={units} />
                {job ? (
                  <JobUses gauge={gauge} answer={answer} raw={raw} initial={job} />
                ) : (
                  <Onward answer={answer} desk={null} />
                )}
              </>
            ) : (
              working === null && <Empty>{waitsFor(missing, problems, stopped)}</Empty>
            )}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

function waitsFor(missing: string[], problems: ReadonlyMap<string, string>, stopped: boolean): string {
  if (missing.length > 0) return `Still needed: ${missing.slice(0, 6).join(', ')}${missing.length > 6 ? ' …' : ''}.`;
  return problems.size > 0
    ? 'Mend what is marked, and the answer comes.'
    : stopped
      ? 'Stopped. The next key begins anew.'
      : 'Reckoning …';
}

/** All gauges, one key apart. */
function GaugeRail({ current, job }: { current: string; job: number | undefined }) {
  return (
    <Box
      component="nav"
      aria-label="Gauges"
      className="no-print"
      sx={{
        display: 'flex',
        flexDirection: { xs: 'row', md: 'column' },
        flexWrap: { xs: 'wrap', md: 'nowrap' },
        alignSelf: 'start',
        borderRight: { md: '1px solid' },
        borderColor: { md: 'divider' },
      }}
    >
      {gauges.map((g) => (
        <Link
          key={g.id}
          component={NextLink}
          href={`/gauges/${g.id}${job ? `?job=${job}` : ''}`}
          aria-current={g.id === current ? 'page' : undefined}
          sx={{
            textDecoration: 'none',
            px: 1,
            py: { xs: 0.75, md: 1 },
            minHeight: 40,
            borderLeft: '4px solid transparent',
            '&[aria-current]': { borderColor: 'bench.action', bgcolor: 'bench.well', fontWeight: 700 },
          }}
        >
          {g.label}
        </Link>
      ))}
    </Box>
  );
}

/** What is sent and reckoned: bare numbers in the shop's unit. */
function withUnits(gauge: AnyGauge, typed: RawValues, units: UnitSystem): RawValues {
  return Object.fromEntries(
    Object.entries(typed).map(([name, value]) => {
      const field = gauge.fields[name];
      return [
        name,
        field?.sort === 'quantity' && !field.unit && typeof value === 'string'
          ? withUnit(field.quantity, value, units)
          : value,
      ];
    }),
  );
}

function withoutFiles(gauge: AnyGauge, typed: RawValues): RawValues {
  return Object.fromEntries(Object.entries(typed).filter(([name]) => gauge.fields[name]?.sort !== 'file'));
}
