'use client';

import { useMemo, type Ref, type RefObject } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { CounterNames } from '@/knowledge/atTheCounter';
import { visits } from '@/knowledge/counter';
import { Key } from '../parts/Key';
import { PlainChoice } from '../parts/PlainChoice';
import { PlainField } from '../parts/PlainField';
import { Press } from '../parts/Press';
import { Toggle, Ways } from '../parts/Ways';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';
import { TypedField } from './TypedField';
import { useHearing, type Proposal } from '../hearing/useHearing';
import type { TakeInForm } from './useTakeIn';
import type { Trade } from './useTrade';

interface Props {
  form: TakeInForm;
  names: CounterNames;
  kindId: string | null;
  /** What is known of machines, when it is there. */
  trade: Trade | undefined;
  wordsBox: RefObject<HTMLTextAreaElement | null>;
}

/** The customer's own words, the complaints that are heard in them, and what they think it is. */
export function CustomersWords({ form, names, kindId, trade, wordsBox }: Props) {
  const { values: v, set, toggle, fieldProblem: problem } = form;
  const knowledge = trade?.knowledge;
  const ofKind = useMemo(
    () => (kindId && knowledge ? knowledge.complaints.filter((c) => c.kinds.includes(kindId)) : null),
    [kindId, knowledge],
  );
  // Before the machine is known: what most kinds can have; the rest is heard in the words, or comes with the machine.
  const offered = ofKind ?? names.complaints.filter((c) => c.isCommon || v.complaints.includes(c.id));
  const faults = useMemo(
    () => (kindId && knowledge ? knowledge.faults.filter((f) => kindId in f.kinds) : []),
    [kindId, knowledge],
  );
  const { proposed, deaf } = useHearing(v, ofKind ?? names.complaints);
  const accept = (p: Proposal | undefined) => {
    if (p?.complaint) toggle('complaints', p.complaint);
    if (p?.visit) set({ visit: p.visit });
  };
  useHotkeys(
    'alt+1,alt+2,alt+3',
    (event) => {
      event.preventDefault();
      accept(proposed[Number(event.code.slice(-1)) - 1]);
    },
    { enableOnFormTags: true },
    [proposed],
  );
  return (
    <>
      <Words size="h2">What the customer says</Words>
      <PlainField
        label="In their own words"
        ref={wordsBox as Ref<HTMLInputElement | HTMLTextAreaElement>}
        value={v.words}
        onChange={(e) => set({ words: e.target.value })}
        lines={3}
        wrong={problem('words') ?? null}
        help="Kept as spoken."
      />
      <div role="status" aria-label="Heard in their words" className={styles.heard}>
        {proposed.length > 0 && <Words tone="soft">Heard:</Words>}
        {proposed.map((p, i) => (
          <Press key={p.label} small onClick={() => accept(p)} title={`Heard in: ${p.because}`}>
            {p.label} &nbsp;<Key>{`Alt ${i + 1}`}</Key>
          </Press>
        ))}
        {deaf && <Words tone="soft">The words could not be listened to just now: choose below.</Words>}
      </div>
      <div role="group" aria-label="Complaints">
        <Words size="h3" className={styles.over}>
          Complaints
        </Words>
        <div className={styles.keys}>
          {offered.map((c) => (
            <Toggle key={c.id} on={v.complaints.includes(c.id)} onPress={() => toggle('complaints', c.id)}>
              {c.label}
            </Toggle>
          ))}
        </div>
        <div className={styles.nothingWrong}>
          <Words tone="soft">Nothing wrong:</Words>
          <Ways
            label="Why it is here when nothing is wrong"
            ways={visits}
            value={v.visit}
            onChoose={(visit) => set({ visit: visit ?? '' })}
          />
        </div>
        {problem('complaints') && (
          <Words as="span" size="caption" role="alert" className={styles.wrong}>
            {problem('complaints')}
          </Words>
        )}
      </div>
      <div className={styles.two}>
        <PlainChoice
          label="They think it is"
          value={v.guess}
          onChoose={(guess) => set({ guess })}
          help="A hint of small weight."
          disabled={faults.length === 0}
          options={[{ id: '', label: 'nothing said' }, ...faults]}
        />
        <TypedField form={form} name="pickedUp" label="Picked up last" help="Plaster, water, glass, a sock …" />
      </div>
    </>
  );
}
