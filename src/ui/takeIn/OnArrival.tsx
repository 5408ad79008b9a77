'use client';

import { cautions } from '@/knowledge/cautions';
import { accessoryNames, arrivalSigns } from '@/knowledge/counter';
import { CautionPlate } from '../parts/CautionPlate';
import { PhotographPicker } from '../parts/PhotographPicker';
import { PlainCheck } from '../parts/PlainCheck';
import { Toggle, Ways } from '../parts/Ways';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';
import { TypedField } from './TypedField';
import type { TakeInForm } from './useTakeIn';

const EVER_WET = [
  { id: 'no', label: 'no' },
  { id: 'yes', label: 'yes' },
  { id: 'unknown', label: 'they do not know' },
] as const;

const cautionOf = (id: string) => cautions.find((c) => c.id === id)!;

/** What is seen when the machine is set on the counter, what came with it, and how it looked: written down before anybody touches it. */
export function OnArrival({ form }: { form: TakeInForm }) {
  const { values: v, set, toggle } = form;
  const raised = arrivalSigns.filter((s) => v.signs.includes(s.id));
  return (
    <>
      <Words size="h2">On arrival</Words>
      <div className={styles.keys}>
        {arrivalSigns.map((s) => (
          <Toggle key={s.id} on={v.signs.includes(s.id)} onPress={() => toggle('signs', s.id)}>
            {s.label}
          </Toggle>
        ))}
      </div>
      {raised.map((s) => (
        <CautionPlate key={s.id} label={cautionOf(s.raises).label} text={`${cautionOf(s.raises).text} ${s.note}`} />
      ))}
      <div className={styles.asking}>
        <Words id="ever-wet">Was it ever wet?</Words>
        <Ways
          labelledBy="ever-wet"
          ways={EVER_WET}
          value={v.everWet}
          onChoose={(everWet) => set({ everWet: everWet ?? 'not-asked' })}
        />
      </div>
      {v.everWet === 'yes' && !v.signs.includes('wet') && (
        <CautionPlate label={cautionOf('wet-signs').label} text={cautionOf('wet-signs').text} />
      )}
      <div className={styles.opened}>
        <PlainCheck
          label="Opened lately by somebody else"
          checked={v.openedBefore}
          onCheck={(openedBefore) => set({ openedBefore })}
        />
        {v.openedBefore ? <TypedField form={form} name="openedBy" label="By whom" /> : <span />}
        <TypedField form={form} name="meterHours" label="Hour meter" help="if it has one" mode="decimal" />
      </div>
      <div role="group" aria-label="Came with it" className={styles.keys}>
        <Words>Came with it:</Words>
        {accessoryNames.map((name) => (
          <Toggle key={name} on={v.accessories.includes(name)} onPress={() => toggle('accessories', name)}>
            {name}
          </Toggle>
        ))}
      </div>
      <PhotographPicker
        photographs={v.photographs}
        onAdd={(id) => set((now) => ({ photographs: [...now.photographs, id] }))}
        onDrop={(id) => set((now) => ({ photographs: now.photographs.filter((p) => p !== id) }))}
      />
    </>
  );
}
