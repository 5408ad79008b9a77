'use client';

import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { Controller } from 'react-hook-form';
import { lookOf, placesOf, planItem, renews, type ServiceReading } from '@/knowledge/plans';
import type { ServiceLine } from '@/shop/jobView/dto';
import { moneyText } from '@/core/money/currency';
import { ambiguity } from '@/core/units/units';
import { FormText } from '../forms/FormText';
import { allDoings } from '../job/labels';
import { useDeedForm } from '../job/useDeedForm';
import type { JobDesk } from '../job/useJob';
import { byWords, spanWords } from '@/core/service/dueWords';
import { DayField } from '../parts/DayField';
import { PhotographPicker } from '../parts/PhotographPicker';
import { Reading } from '../parts/Reading';
import { readNumber } from '../parts/readNumber';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import styles from './visit.module.css';

type Said = 'done' | 'worn' | 'left';

/** One item of the visit: done at one press; found worn or left with what was read, found and said. */
export function VisitItem({ desk, line }: { desk: JobDesk; line: ServiceLine }) {
  const { job, busy, act } = desk;
  const [saying, setSaying] = useState<Said | null>(null);
  const { reading } = planItem(line.item)!;
  const closed = job.stage === 'closed';
  const parts = partsFor(job, line);
  const say = (state: Said) => {
    if (state === 'done' && !reading && parts.length === 0) void act('serve-item', { item: line.item, state });
    else setSaying(saying === state ? null : state);
  };
  return (
    <section aria-label={line.label} className={styles.item}>
      <div className={styles.rowWrap}>
        <div className={styles.what}>
          <Words size="body" weight="strong" className={styles.name}>
            {line.label}
          </Words>
          <Words tone={line.state === 'past' ? 'brass' : 'soft'} className={styles.when}>
            <When line={line} />
            {atLast(line) && <strong>; {atLast(line)}</strong>}
          </Words>
        </div>
        {!closed &&
          (
            [
              ['done', 'Done'],
              ['worn', 'Worn'],
              ['left', 'Leave it'],
            ] as const
          ).map(([state, label]) => (
            <Press
              key={state}
              small
              tone={state === 'done' ? 'strong' : 'line'}
              disabled={busy}
              aria-label={`${label}: ${line.label}`}
              aria-expanded={saying === state}
              onClick={() => say(state)}
              className={styles.say}
            >
              {label}
            </Press>
          ))}
      </div>
      {saying === 'done' && parts.length > 0 ? (
        <WhichPart desk={desk} line={line} parts={parts} onDone={() => setSaying(null)} />
      ) : (
        saying && <SayIt key={saying} desk={desk} line={line} state={saying} onDone={() => setSaying(null)} />
      )}
    </section>
  );
}

type OfferedPart = JobDesk['job']['parts'][number];

/** What an item that makes its part new may take, this model's own first; nothing where one was fitted at this visit already. */
function partsFor({ parts }: JobDesk['job'], line: ServiceLine): OfferedPart[] {
  const item = planItem(line.item)!;
  if (!renews(item) || item.reading || line.done) return [];
  return parts
    .filter((p) => p.station === line.station && item.parts.includes(p.group))
    .sort((a, b) => Number(b.own) - Number(a.own));
}

/** Which part went in: it is fitted and charged with the item, and its stock goes down. */
function WhichPart({
  desk,
  line,
  parts,
  onDone,
}: {
  desk: JobDesk;
  line: ServiceLine;
  parts: readonly OfferedPart[];
  onDone: () => void;
}) {
  const { job, busy, act } = desk;
  const serve = async (part?: string) => {
    if (await act('serve-item', { item: line.item, state: 'done', ...(part === undefined ? {} : { part }) })) onDone();
  };
  return (
    <div role="group" aria-label={`Which went in: ${line.label}`} className={styles.entry}>
      <Words tone="soft" className={styles.asked}>
        Which went in?
      </Words>
      {/* Only what is known to belong in this model is put forward: of several belts a wrong one is soon taken. */}
      {parts.map((p) => (
        <Press
          key={p.code}
          small
          tone={p.own ? 'strong' : 'line'}
          disabled={busy}
          autoFocus={p.own}
          onClick={() => void serve(p.code)}
        >
          {p.label}&nbsp;<Reading>{p.code}</Reading>, {moneyText(p.priceMinor, job.currency, job.agree.locale)}
          {p.own && ', this model’s own'}
          {p.stock <= 0 && ', none in stock'}
        </Press>
      ))}
      <Press small tone="plain" disabled={busy} onClick={() => void serve()}>
        New, from no list
      </Press>
    </div>
  );
}

/** What is typed: a reading for each place, by its number, and what goes with them. */
interface Sayings extends Record<string, string> {
  words: string;
  found: string;
  lookAgainOn: string;
}

/** The places that were read, with their number in the form. */
const filled = (places: string[], typed: Sayings) =>
  places.flatMap((place, i) => {
    const text = typed[`read${i}`] ?? '';
    return text.trim() === '' ? [] : [{ place, i, text }];
  });

/** What is said with it: readings place by place, what was found, why, and by when it is looked at again. */
function SayIt({ desk, line, state, onDone }: { desk: JobDesk; line: ServiceLine; state: Said; onDone: () => void }) {
  const { job, busy, act } = desk;
  const kind = job.machine.kind;
  const item = planItem(line.item)!;
  const check = lookOf(item, kind);
  // The first of every aspect is that it is as it should be.
  const outcomes = allDoings(kind)
    .filter((c) => c.id === check)
    .flatMap((c) => c.aspects)
    .filter((a) => !a.reading)
    .flatMap((a) => a.outcomes.slice(1));
  const places = item.reading ? placesOf(item.reading, kind) : [];
  const { control, submit } = useDeedForm<Sayings>({
    desk,
    deed: 'serve-item',
    dto: async () => (await import('@/shop/serveItem/dto')).ServeItemDto,
    start: {
      ...Object.fromEntries(
        places.map((place, i) => [`read${i}`, String(line.readings.find((r) => r.place === place)?.value ?? '')]),
      ),
      words: line.words,
      found: '',
      lookAgainOn: line.lookAgainOn ?? '',
    },
    body(typed) {
      const readings = filled(places, typed).map(({ place, text }) => ({ place, value: readNumber(text) ?? NaN }));
      return {
        item: line.item,
        state,
        words: typed.words,
        ...(typed.lookAgainOn ? { lookAgainOn: typed.lookAgainOn } : {}),
        ...(state === 'worn' && typed.found ? { found: typed.found } : {}),
        ...(readings.length > 0 ? { readings } : {}),
      };
    },
    unread: (typed) =>
      filled(places, typed)
        .filter(({ text }) => !Number.isFinite(readNumber(text) ?? NaN))
        .map(({ i, text }) => ({
          field: `read${i}`,
          message: ambiguity('number', text) ?? 'A number, such as 12 or 12.5.',
        })),
    // What is sent leaves out the places that were not read.
    fieldOf: (field, typed) => {
      const at = /^readings\[(\d+)\]/.exec(field)?.[1];
      return at === undefined ? field : `read${filled(places, typed)[Number(at)]?.i}`;
    },
    onDone,
  });
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        submit();
      }}
      className={styles.entry}
    >
      {places.map((place, i) => (
        <FormText
          control={control}
          name={`read${i}`}
          key={place}
          size="small"
          autoFocus={i === 0}
          label={[item.reading!.label, place].filter(Boolean).join(', ')}
          helperText={readHelp(
            item.reading!,
            line.before.find((b) => b.place === place),
          )}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          sx={{ width: places.length > 2 ? 132 : 210 }}
        />
      ))}
      {state === 'worn' && outcomes.length > 0 && (
        <FormText
          control={control}
          name="found"
          select
          size="small"
          label="What was found"
          helperText="Opens the search for its cause"
          sx={{ width: 230 }}
        >
          <MenuItem value="">in words only</MenuItem>
          {outcomes.map((o) => (
            <MenuItem key={o.id} value={o.id}>
              {o.label}
            </MenuItem>
          ))}
        </FormText>
      )}
      {(state !== 'done' || item.reading) && (
        <FormText
          control={control}
          name="words"
          size="small"
          autoFocus={places.length === 0}
          label={state === 'left' ? 'Why it is left' : state === 'worn' ? 'What is worn' : 'Note'}
          sx={{ flex: '1 1 220px' }}
        />
      )}
      {state !== 'done' && (
        <Controller
          control={control}
          name="lookAgainOn"
          render={({ field, fieldState: { error } }) => (
            <DayField
              size="small"
              label="Look again by"
              day={field.value}
              onDay={field.onChange}
              problem={error?.message}
              sx={{ width: 190 }}
            />
          )}
        />
      )}
      <Press type="submit" tone="strong" small disabled={busy} className={styles.gapAbove}>
        {state === 'done' ? 'Done' : state === 'worn' ? 'Found worn' : 'Leave it'}
      </Press>
      <div className={styles.gapAbove}>
        <PhotographPicker
          photographs={photographsOf(job, line.item)}
          onAdd={(id) =>
            void act('add-photograph', { photographs: [id], caption: line.label, shows: `item:${line.item}` })
          }
        />
      </div>
    </form>
  );
}

/** Those of this visit that show an item. */
export const photographsOf = ({ photographs }: JobDesk['job'], item: string): number[] =>
  photographs.filter((p) => p.shows === `item:${item}`).map((p) => p.id);

/** What was read there last; without it, between what it lies. */
function readHelp({ range, unit }: ServiceReading, before: ServiceLine['before'][number] | undefined): string {
  if (before) return `${before.value} ${unit}`.trim() + ` on ${before.on}`;
  return `${range.join(' to ')} ${unit}`.trim();
}

/** Places that stood at their last number when they were read last. */
function atLast({ item, before }: ServiceLine): string {
  const reading = planItem(item)!.reading;
  if (!reading?.atLast) return '';
  const places = before.filter((b) => b.value >= reading.range[1]).map((b) => b.place);
  return places.length > 0 ? [places.join(' and '), reading.atLast].filter(Boolean).join(' ') : '';
}

function When({ line }: { line: ServiceLine }) {
  const by = byWords(line.by);
  const home = line.byItsPeople ? '; its people do it between visits' : '';
  if (line.state === 'asked' && line.dueOn === null) return <>asked for at this visit</>;
  if (line.dueOn === null)
    return <>{line.state === 'unknown' ? `not known when it was done last: look now${home}` : 'to be measured'}</>;
  return (
    <>
      {line.state === 'past' ? 'due since ' : 'due '}
      <Reading>{line.state === 'past' ? line.dueOn : spanWords({ ...line, on: line.dueOn })}</Reading>
      {by && `, ${by}`}
      {line.lastDoneOn && (
        <>
          , done last <Reading>{line.lastDoneOn}</Reading>
        </>
      )}
      {home}
    </>
  );
}
