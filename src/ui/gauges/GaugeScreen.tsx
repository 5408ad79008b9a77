'use client';

import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { RawValues } from '@/core/gauges/fields';
import type { InstrumentCard } from '@/core/gauges/gauge';
import { readFields } from '@/core/gauges/readFields';
import type { AnyGauge } from '@/core/gauges/reckon';
import { withUnit, type UnitSystem } from '@/core/units/unitSystem';
import type { JobFacts } from '@/shop/jobView/dto';
import { draftKeeper } from '../parts/draftKeeper';
import { Empty } from '../parts/Notice';
import { Press } from '../parts/Press';
import { TextLink } from '../parts/TextLink';
import { Words } from '../parts/Words';
import NextLink from '../theme/NextLink';
import { useTypedEarly, WAKES_LATER } from '../theme/useTypedEarly';
import { AboutGauge } from './AboutGauge';
import styles from './gauge.module.css';
import { GaugeForm } from './GaugeForm';
import { KeepUsual } from './KeepUsual';
import { GaugePlaces } from './places/GaugePlaces';
import type { Place } from './places/marks';
import { useReckoned } from './useReckoned';

// Nothing is answered before something is typed: what draws it comes then, or with a page that is opened filled in.
const fetchAnswered = () => import('./Answered');
const Answered = dynamic(async () => (await fetchAnswered()).Answered);

export interface GaugeDesk {
  units: UnitSystem;
  mainsV: number;
  today: string;
  zone: string;
  usual: Record<string, RawValues>;
  instruments: readonly InstrumentCard[];
  /** Of all gauges, by their ids, in the order of the list. */
  names: Readonly<Record<string, string>>;
}

/** What a page gives to the screen of any gauge. */
export interface GaugeProps {
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

/**
 * One gauge: the fields at the left, the answer at the right, living with every key.
 * @param placeOf where to hold what, by what is asked of it
 */
export function GaugeScreen({
  gauge,
  placeOf,
  desk,
  job,
  filled,
  mayKeepUsual,
}: GaugeProps & { gauge: AnyGauge; placeOf: (typed: RawValues) => Place | undefined }) {
  const name = gauge.id;
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
  const asked = useTypedEarly<HTMLDivElement>();
  const clear = useCallback(() => {
    touched.current = true;
    void draft.drop();
    setTyped(startOf(gauge, desk.usual[name]));
  }, [draft, gauge, desk.usual, name]);
  const missing = [...problems]
    .filter(([, m]) => m === 'Needed.' || m.startsWith('Nothing is written'))
    .map(([f]) => gauge.fields[f]!.label.toLowerCase());

  const place = placeOf(typed);

  return (
    <div className={styles.whole}>
      <GaugeRail current={name} names={desk.names} job={job?.id} />
      <div className={styles.column}>
        <div className={styles.head}>
          <Words size="h1">{gauge.label}</Words>
          <Words className={styles.purpose}>{gauge.purpose}</Words>
          {job && (
            <TextLink href={`/jobs/${job.id}/${job.stage === 'closed' ? 'hand-back' : job.stage}`}>
              Job {job.id}, {job.machine.tag}
            </TextLink>
          )}
        </div>
        {answer && (
          <div aria-hidden className={`no-print ${styles.oneLine}`}>
            {answer.says}
          </div>
        )}
        <div className={styles.desk}>
          <div ref={asked} {...WAKES_LATER} className={styles.asked}>
            {place && <GaugePlaces place={place} fields={gauge.fields} typed={typed} at={at} />}
            <GaugeForm
              fields={gauge.fields}
              typed={typed}
              units={units}
              problems={problems}
              offers={offers}
              onAt={(field) => {
                void fetchAnswered();
                setAt(field);
              }}
              onType={(field, value) => change({ ...typed, [field]: value })}
            />
            <div className={`no-print ${styles.presses}`}>
              <Press small onClick={() => change({ ...startOf(gauge, undefined), ...gauge.example })}>
                Fill in the worked example
              </Press>
              <Press small tone="plain" onClick={clear}>
                Clear
              </Press>
              <Press small tone="plain" onClick={() => window.print()}>
                Print
              </Press>
              {mayKeepUsual && <KeepUsual gauge={gauge} typed={typed} />}
            </div>
            <AboutGauge gauge={gauge} />
          </div>
          <div className={styles.answered}>
            {working !== null && (
              <div className={styles.working}>
                <progress aria-label="Reckoning" value={working} />
                <Press small onClick={cancel}>
                  Stop reckoning
                </Press>
              </div>
            )}
            {answer ? (
              <Answered gauge={gauge} answer={answer} raw={raw} units={units} names={desk.names} job={job} />
            ) : (
              working === null && <Empty>{waitsFor(missing, problems, stopped)}</Empty>
            )}
          </div>
        </div>
      </div>
    </div>
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
function GaugeRail({ current, names, job }: { current: string; names: GaugeDesk['names']; job: number | undefined }) {
  return (
    <nav aria-label="Gauges" className={`no-print ${styles.rail}`}>
      {Object.entries(names).map(([id, label]) => (
        <NextLink
          key={id}
          href={`/gauges/${id}${job ? `?job=${job}` : ''}`}
          aria-current={id === current ? 'page' : undefined}
        >
          {label}
        </NextLink>
      ))}
    </nav>
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
