'use client';

import { warrantyUntil } from '@/core/service/warranty';
import { dayWords } from '../parts/dayWords';
import { Notice } from '../parts/Notice';
import { Ways } from '../parts/Ways';
import { Words } from '../parts/Words';
import styles from './takeIn.module.css';
import type { ModelChoice, TakeInForm, TakeInValues } from './useTakeIn';

const WAYS = [
  { id: 'authorised', label: 'to the authorised shop' },
  { id: 'repair-here', label: 'repair it here' },
] as const;

/** Last day of the warranty of what stands in the form, or null. */
function untilOf(v: TakeInValues, models: ModelChoice[]): string | null {
  if (v.machine) return v.machine.warrantyUntil;
  const model = models.find((m) => String(m.id) === v.modelId);
  if (!v.isNew || !model || !/^\d{4}-\d{2}-\d{2}$/.test(v.purchasedOn) || v.purchasedOn < '1950') return null;
  return warrantyUntil(v.purchasedOn, model.warrantyMonths);
}

/** Within the warranty: the advice, and what the owner chose. */
export function WarrantyChoice({ form, models, today }: { form: TakeInForm; models: ModelChoice[]; today: string }) {
  const { values: v, set, fieldProblem } = form;
  const until = untilOf(v, models);
  if (until === null || until < today) return null;
  const problem = fieldProblem('warrantyChoice');
  return (
    <Notice title={`Under warranty until ${dayWords(until, today)}.`}>
      <Words>
        The maker’s authorised shop repairs it at no charge, and opening it here may end the warranty. Say so, and write
        down what the owner chose.
      </Words>
      <div className={styles.answer} {...(problem ? { 'data-asks': true } : {})}>
        <Ways
          label="What the owner chose"
          ways={WAYS}
          value={v.warrantyChoice}
          onChoose={(choice) => set({ warrantyChoice: choice ?? 'none' })}
        />
      </div>
      {problem && (
        <Words as="span" size="caption" role="alert" className={styles.wrong}>
          {problem}
        </Words>
      )}
    </Notice>
  );
}
