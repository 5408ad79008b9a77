'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { kindOfModel } from '@/core/diagnosis/kindOfModel';
import type { Kind } from '@/core/diagnosis/knowledge';
import type { CounterNames } from '@/knowledge/atTheCounter';
import type { MachineListView } from '@/shop/machines/dto';
import { FoldedOnPhone } from '../board/FoldedOnPhone';
import { LineBoard } from '../board/LineBoard';
import type { StationState } from '../board/stationState';
import { FromItsSide } from '../drawing/FromItsSide';
import { Key } from '../parts/Key';
import { NotFetched } from '../parts/NotFetched';
import { Notice } from '../parts/Notice';
import { Press } from '../parts/Press';
import { TextLink } from '../parts/TextLink';
import { Words } from '../parts/Words';
import { useGo } from '../theme/useGo';
import { ConditionMarks } from './ConditionMarks';
import { CustomersWords } from './CustomersWords';
import { OnArrival } from './OnArrival';
import { PromisedFor } from './PromisedFor';
import styles from './takeIn.module.css';
import { usePointing } from './usePointing';
import { EMPTY, useTakeIn, type ModelChoice } from './useTakeIn';
import { useTrade } from './useTrade';
import { WarrantyChoice } from './WarrantyChoice';
import { WhichMachine } from './WhichMachine';

interface Props {
  models: ModelChoice[];
  names: CounterNames;
  promisedOn: string;
  today: string;
  /** Already chosen, when one comes from the machine's card. */
  machine: MachineListView | null;
}

/** The counter: who, which machine, the customer's own words, what is seen on arrival. One page, all by keyboard. */
export function TakeInScreen({ models, names, promisedOn, today, machine }: Props) {
  const router = useGo();
  const form = useTakeIn({ ...EMPTY, promisedOn, machine }, (job) => router.push(`/jobs/${job}/find`));
  const v = form.values;
  const [station, setStation] = useState<string | null>(null);
  const wordsBox = useRef<HTMLTextAreaElement>(null);
  const page = useRef<HTMLFormElement>(null);
  const { asked } = form;
  // What is left to answer is shown at its place, wherever on the page that is.
  useEffect(() => {
    if (asked === 0) return;
    const at = (what: string) => page.current?.querySelector<HTMLElement>(what);
    const place = at('[data-asks]') ?? at('[aria-invalid="true"]') ?? at('span[role="alert"]');
    place?.scrollIntoView({ block: 'center' });
    (place?.querySelector<HTMLElement>('button, input') ?? place)?.focus({ preventScroll: true });
  }, [asked]);
  const model = v.machine
    ? models.find((m) => m.maker === v.machine!.maker && m.name === v.machine!.model)
    : models.find((m) => !v.isNewModel && String(m.id) === v.modelId);
  const newKind = v.isNewModel ? v.newKind || undefined : model?.kind;
  const kindId = v.machine?.kind ?? (v.isNew ? newKind : undefined) ?? null;
  // Fetched with the first letter, so that it is there when the machine is chosen.
  const [begun, setBegun] = useState(false);
  const later = useTrade(begun || kindId !== null);
  const trade = later.piece;
  const kind = useMemo(() => {
    const found = trade?.knowledge.kinds.find((k) => k.id === kindId);
    return found ? kindOfModel(found, model?.addedStations ?? []) : null;
  }, [kindId, model, trade]);
  const pointing = usePointing(kindId, v.complaints, trade);
  const states = useMemo(() => {
    const all: Record<string, StationState> = { ...pointing };
    for (const m of v.marks) all[m.station] = { ...all[m.station], marks: (all[m.station]?.marks ?? 0) + 1 };
    if (station) all[station] = { ...all[station], looked: true };
    return all;
  }, [pointing, v.marks, station]);
  useHotkeys('ctrl+enter', () => void form.send(), { enableOnFormTags: true, preventDefault: true });

  return (
    <form
      ref={page}
      noValidate
      onInput={() => setBegun(true)}
      onSubmit={(e) => {
        e.preventDefault();
        void form.send();
      }}
      className={styles.page}
    >
      <div className={styles.head}>
        <Words size="h1">Take in</Words>
        {form.restored && (
          <Words tone="soft">
            What you had typed is back.{' '}
            <Press small tone="plain" onClick={form.clear} className={styles.afresh}>
              Start afresh
            </Press>
          </Words>
        )}
      </div>
      {form.refusal && (
        <Notice live title={form.refusal.fields.length === 1 ? 'One thing is left to answer.' : form.refusal.title}>
          {form.refusal.openJob && (
            <TextLink href={`/jobs/${form.refusal.openJob}`}>Go to job {form.refusal.openJob}</TextLink>
          )}
        </Notice>
      )}
      {kindId && !trade && <NotFetched failed={later.failed} what="What is known of it" again={later.again} />}
      {kind && (
        <FoldedOnPhone says={boardWords(kind, v.marks)}>
          <LineBoard
            kind={kind}
            dropped={model?.droppedStations ?? []}
            states={states}
            title="Where the complaints point, and what is marked"
            onChoose={setStation}
          />
          <ConditionMarks key={station} form={form} kind={kind} station={station} onDone={() => setStation(null)} />
          <div className={styles.side}>
            <FromItsSide
              folded="Mark it on the machine"
              kind={kind.id}
              title={`${kind.label}, from its side`}
              tall={340}
              points={Object.fromEntries(form.values.marks.map((m) => [m.station, '×']))}
              onChoose={setStation}
            />
          </div>
        </FoldedOnPhone>
      )}
      <div className={styles.halves}>
        <div className={styles.half}>
          <Words size="h2">Which machine</Words>
          <WhichMachine
            form={form}
            models={models}
            kinds={names.kinds}
            trade={trade}
            today={today}
            onChosen={() => setTimeout(() => wordsBox.current?.focus(), 0)}
          />
          <WarrantyChoice form={form} models={models} today={today} />
          <OnArrival form={form} />
        </div>
        <div className={styles.half}>
          <CustomersWords form={form} names={names} kindId={kindId} trade={trade} wordsBox={wordsBox} />
          <div className={styles.foot}>
            <PromisedFor form={form} today={today} />
            <Press type="submit" tone="strong" disabled={form.busy} className={styles.take}>
              {form.inDoubt ? (
                'Asking whether it is in …'
              ) : form.busy ? (
                'Taking in …'
              ) : (
                <>
                  Take it in &nbsp;<Key>Ctrl ↵</Key>
                </>
              )}
            </Press>
          </div>
        </div>
      </div>
    </form>
  );
}

/** What is marked on the board, or that it can be. */
function boardWords(kind: Kind, marks: readonly { station: string; text: string }[]): string {
  const labels = new Map(kind.lines.flatMap((l) => l.stations.map((s) => [s.id, s.label])));
  const said = marks.map((m) => `${labels.get(m.station) ?? m.station} ${m.text}`);
  return said.length > 0 ? `Marked: ${said.join(', ')}` : 'Its line board: mark what is seen on a part';
}
