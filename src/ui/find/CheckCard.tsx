'use client';

import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Aspect } from '@/core/diagnosis/knowledge';
import { ambiguity, formatQuantity, parseQuantity, UNITS, type Quantity } from '@/core/units/units';
import type { AssessmentView } from '@/shop/finding/dto';
import type { JobFacts } from '@/shop/jobView/dto';
import { gaugeAddress } from '../job/gaugeAddress';
import { aspectFor, cautionOf, doingOf, faultLabel, isRollTurned, outcomeLabel, type Doing } from '../job/labels';
import { bookOf } from '../job/trade';
import { CautionPlate } from '../parts/CautionPlate';
import { Key } from '../parts/Key';
import { PlainField } from '../parts/PlainField';
import { percent, Reading } from '../parts/Reading';
import { useKeptText } from '../parts/useKeptText';
import { WayInSteps } from '../strip/WayInSteps';
import { FromInstrument } from './FromInstrument';
import { PracticeLook } from './PracticeLook';
import { Words } from '../parts/Words';
import { TextLink } from '../parts/TextLink';
import styles from './find.module.css';
import { Press } from '../parts/Press';

export type Answered = { check: string; outcome?: string; value?: number; unit?: string; condition?: string };

interface Props {
  job: JobFacts;
  checkId: string;
  next: AssessmentView['next'][number] | null;
  /** What may be run once this one is made, and is why it comes first. */
  waiting?: string | null;
  proposed: boolean;
  /** `stay` keeps the check on the bench for its further aspects. */
  onRecord: (answered: Answered[], stay: boolean) => void;
  onLeave: () => void;
  /** A reading is being taken or typed: what is begun stays on the bench, whatever is worked out meanwhile. */
  onBegin: () => void;
}

const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', 'q', 'w', 'e', 'r', 'i', 'o', 'p'];

/** One check: why this one, how it is done, what can hurt, and one key per outcome. */
export function CheckCard({ job, checkId, next, waiting = null, proposed, onRecord, onLeave, onBegin }: Props) {
  const doing = doingOf(job.machine.kind, checkId)!;
  const answered = new Set(
    job.findings.filter((f) => !f.revoked && !f.before && f.check === checkId).map((f) => aspectFor(doing, f)?.id),
  );
  const left = doing.aspects.filter((a) => !answered.has(a.id));
  // A key keeps its meaning while the check is open, whatever was answered meanwhile: the finger is quicker than the screen.
  const choices = doing.aspects
    .filter((a) => !a.reading)
    .flatMap((a) => a.outcomes.map((o) => ({ aspect: a, outcome: o })));
  const keyOf = (outcome: string) => KEYS[choices.findIndex((c) => c.outcome.id === outcome)];
  // Also before the odds are there: what holds power back is known at once.
  const held =
    next?.heldBackBy ?? (doing.power === 'no' ? [] : job.cautions.filter((c) => cautionOf(c).holds === 'power'));
  const canAct = held.length === 0;
  const turned = isRollTurned(job);
  const chosen = new Set(
    job.findings.filter((f) => !f.revoked && !f.before && f.check === checkId).map((f) => f.outcome),
  );

  const choose = (outcome: string) => {
    const aspect = choices.find((c) => c.outcome.id === outcome)!.aspect;
    onRecord(
      [{ check: checkId, outcome }],
      left.some((a) => a.id !== aspect.id),
    );
  };
  const restNormal = () =>
    onRecord(
      left.filter((a) => !a.reading).map((a) => ({ check: checkId, outcome: a.outcomes[0]!.id })),
      false,
    );
  useHotkeys(
    KEYS,
    (event) => {
      const choice = choices[KEYS.indexOf(event.key.toLowerCase())];
      if (choice && canAct) choose(choice.outcome.id);
    },
    [choices, canAct, checkId],
  );
  const several = choices.length > 0 && left.filter((a) => !a.reading).length > 1;
  useHotkeys('0', () => several && canAct && restNormal(), [several, canAct, checkId, choices]);

  return (
    <section aria-label="Check on the bench" className={styles.card}>
      <div className={styles.headOfCard}>
        <Words size="h2">{doing.label}</Words>
        <Words tone="soft">
          <Reading>{doing.minutes} min</Reading>
          {next && next.openingMinutes > 0 ? (
            <>
              {' '}
              and <Reading>{next.openingMinutes} min</Reading> to open or close
            </>
          ) : (
            ', nothing more to open'
          )}
          {next && next.total >= 0.5 && (
            <>
              , about <Reading>{Math.round(next.total)} min</Reading> to the end this way
            </>
          )}
        </Words>
        {!proposed && (
          <Press small tone="plain" onClick={onLeave} className={styles.leave}>
            Back to the proposal &nbsp;<Key>Esc</Key>
          </Press>
        )}
      </div>
      <ol className={styles.steps}>
        {doing.how.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      {[...new Set([...held, ...doing.cautions])]
        .filter((id) => held.includes(id) || cautionOf(id).holds !== 'spin' || !turned)
        .map((id) => (
          <CautionPlate
            key={id}
            label={held.includes(id) ? `Held back: ${cautionOf(id).label}` : cautionOf(id).label}
            text={cautionOf(id).text}
          />
        ))}
      {left.length === 0 && <Words>Everything here is answered; a new answer replaces the old.</Words>}
      {job.practice && doing.aspects.some((a) => !a.reading) && (
        <PracticeLook key={checkId} job={job} doing={doing} disabled={!canAct} />
      )}
      {doing.aspects.map((aspect) =>
        aspect.reading ? (
          <ReadingEntry
            key={aspect.id}
            aspect={aspect}
            job={job}
            checkId={checkId}
            disabled={!canAct}
            onBegin={onBegin}
            onRecord={(value, unit) =>
              onRecord(
                [{ check: checkId, value, unit, ...(aspect.condition ? { condition: aspect.condition } : {}) }],
                left.some((a) => a.id !== aspect.id),
              )
            }
          />
        ) : (
          <div key={aspect.id} role="group" aria-label={aspect.label}>
            {doing.aspects.length > 1 && (
              <Words size="overline" as="div" tone="soft">
                {aspect.label}
              </Words>
            )}
            <div className={styles.answers}>
              {aspect.outcomes.map((o) => (
                <Press
                  tone={chosen.has(o.id) ? 'strong' : 'line'}
                  key={o.id}
                  onClick={() => choose(o.id)}
                  disabled={!canAct}
                  aria-pressed={chosen.has(o.id)}
                  className={styles.answer}
                >
                  {keyOf(o.id) && (
                    <span className={styles.keyed}>
                      <Key>{keyOf(o.id)!}</Key>
                    </span>
                  )}
                  {o.label}
                </Press>
              ))}
            </div>
          </div>
        ),
      )}
      {several && (
        <div>
          <Press tone="strong" onClick={restNormal} disabled={!canAct}>
            <span className={styles.keyed}>
              <Key>0</Key>
            </span>
            The rest: nothing to see
          </Press>
        </div>
      )}
      {/* Below the keys: it comes with the odds, and nothing may move away under a finger. */}
      {next && <Why job={job} doing={doing} next={next} waiting={waiting} />}
      <WayInSteps job={job} access={doing.access} />
    </section>
  );
}

interface WhyProps {
  job: JobFacts;
  doing: Doing;
  next: AssessmentView['next'][number];
  waiting: string | null;
}

/** Why this one: what its likely answers would lead to, or what may be run after it. */
function Why({ job, doing, next, waiting }: WhyProps) {
  const behind = waiting && doingOf(job.machine.kind, waiting);
  if (behind)
    return (
      <Words>
        <strong>Why this one: </strong>“{behind.label}” is worth most, and nothing is run before the roll turns freely.
      </Words>
    );
  // An answer that moves nothing gives no reason.
  const leads = next.why.filter((w) => w.probability > 0.04 && w.topFault).slice(0, 3);
  if (leads.length === 0) return null;
  const normal = new Set(doing.aspects.map((a) => a.outcomes[0]!.id));
  const words = (outcomes: string[]) => {
    const special = outcomes.filter((o) => !normal.has(o));
    if (special.length === 0 && outcomes.length > 1) return 'nothing special';
    const shown = special.length > 0 ? special : outcomes;
    const named = (id: string) => {
      const aspect = doing.aspects.find((a) => a.outcomes.some((o) => o.id === id));
      const label = outcomeLabel(job.machine.kind, doing.id, id);
      // “Much” or “clicked and clicked” says nothing: what it is that is much is said with it.
      return aspect && doing.aspects.length > 1 ? `${aspect.label.toLowerCase()} ${label}` : label;
    };
    return shown
      .map((o) => (doing.repairs ? (o === 'gone' ? 'complaint gone' : 'still there') : named(o)))
      .join(' and ');
  };
  return (
    <Words>
      <strong>Why this one: </strong>
      {leads.map((lead, i) => (
        <span key={lead.outcomes.join()}>
          {i > 0 && '; '}
          {words(lead.outcomes)} (<Reading>{percent(lead.probability)}</Reading>) would {lead.falls ? 'bring' : 'leave'}{' '}
          “{faultLabel(lead.topFault!)}” {lead.falls ? 'down to' : 'at'}{' '}
          <Reading>{percent(lead.topProbability)}</Reading>
          {lead.then && doingOf(job.machine.kind, lead.then) && (
            <>, then “{doingOf(job.machine.kind, lead.then)!.label}”</>
          )}
        </span>
      ))}
      .
    </Words>
  );
}

function ReadingEntry({
  aspect,
  job,
  checkId,
  disabled,
  onBegin,
  onRecord,
}: {
  aspect: Aspect;
  job: JobFacts;
  checkId: string;
  disabled: boolean;
  onBegin: () => void;
  onRecord: (value: number, unit: string) => void;
}) {
  const spec = aspect.reading!;
  const quantity = spec.quantity as Quantity;
  const [typed, setTyped, dropTyped] = useKeptText(
    `job-${job.id}`,
    `reading ${aspect.id} ${aspect.condition ?? ''}`,
    '',
  );
  const [tried, setTried] = useState(false);
  const parsed = parseTyped(quantity, typed);
  const limit = spec.relativeTo === 'mainsV' ? job.machine.mainsV : null;
  const beyond = parsed && limit !== null && parsed.value > spec.max * limit;
  const error =
    tried &&
    (!parsed
      ? (ambiguity(quantity, typed) ?? `Type a number, such as ${example(quantity)}.`)
      : beyond
        ? `More than a ${limit} V machine can show.`
        : null);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        setTried(true);
        if (!parsed || beyond) return;
        dropTyped();
        onRecord(parsed.value, UNITS[quantity].base);
      }}
      className={styles.typed}
    >
      <PlainField
        label={`${aspect.label} (${spec.unit})`}
        value={typed}
        onChange={(e) => {
          onBegin();
          setTyped(e.target.value);
        }}
        disabled={disabled}
        wrong={error || null}
        help={
          parsed
            ? `Read as ${parsed.readAs}`
            : aspect.neutral
              ? 'For the record; it says nothing about a fault.'
              : `For instance ${example(quantity)}`
        }
        inputMode="text"
        className={styles.reading}
      />
      <Press type="submit" disabled={disabled || typed === ''} className={styles.answer}>
        Keep
      </Press>
      {bookOf(job.machine.kind)
        .gauges.filter((g) => g.answers.includes(checkId))
        .map((g) => (
          <TextLink key={g.id} href={gaugeAddress(g, job, checkId, aspect.condition)} className={styles.toGauge}>
            Reckon it: {g.label}
          </TextLink>
        ))}
      <FromInstrument
        job={job}
        check={checkId}
        aspect={aspect}
        disabled={disabled}
        onBegin={onBegin}
        onReading={setTyped}
      />
    </form>
  );
}

/** A lengthening may be typed as worn / new lengths. */
function parseTyped(quantity: Quantity, typed: string) {
  const pair = quantity === 'percent' ? /^\s*(\d+(?:[.,]\d+)?)\s*\/\s*(\d+(?:[.,]\d+)?)\s*$/.exec(typed) : null;
  if (!pair) return parseQuantity(quantity, typed);
  const [worn, fresh] = [Number(pair[1]!.replace(',', '.')), Number(pair[2]!.replace(',', '.'))];
  const value = (worn / fresh - 1) * 100;
  return Number.isFinite(value) ? { value, readAs: `${formatQuantity('percent', value)} longer than new` } : null;
}

function example(quantity: Quantity): string {
  const examples: Partial<Record<Quantity, string>> = {
    voltage: '12.4 or 340 mV',
    resistance: '0.4, 2k2 or OL',
    current: '8.5 A',
    speed: '3200',
    length: '3.5 mm',
    pressure: '16.8 kPa or 67 inH2O',
    time: '7 min',
    percent: '4 or 312/300',
  };
  return examples[quantity] ?? '';
}
