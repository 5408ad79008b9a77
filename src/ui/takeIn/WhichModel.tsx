'use client';

import type { CounterNames } from '@/knowledge/atTheCounter';
import { useLater } from '../asking/useLater';
import { FieldWithList } from '../parts/FieldWithList';
import { NotFetched } from '../parts/NotFetched';
import { Press } from '../parts/Press';
import { Words } from '../parts/Words';
import { KindPicture } from './KindPicture';
import styles from './takeIn.module.css';
import type { ModelChoice, TakeInForm } from './useTakeIn';

interface Props {
  form: TakeInForm;
  models: ModelChoice[];
  kinds: CounterNames['kinds'];
}

/** The model of a new machine: searched in the list, or made here and now from its plate. */
export function WhichModel({ form, models, kinds }: Props) {
  const { values: v, set, fieldProblem: problem } = form;
  if (v.isNewModel) return <FromItsPlate form={form} models={models} />;
  return (
    <>
      <FieldWithList<ModelChoice>
        label="Model"
        wrong={problem('newMachine.modelId')}
        help="Type a part of its maker or name."
        empty="No such model: add it here."
        row={(m) => (
          <span className={styles.model}>
            <KindPicture kind={m.kind} size={30} />
            {m.maker} {m.name}
            <Words as="span" tone="soft">
              {kinds.find((k) => k.id === m.kind)?.label ?? m.kind}
            </Words>
          </span>
        )}
        list={{
          options: models,
          value: models.find((m) => String(m.id) === v.modelId) ?? null,
          onChange: (_, m) => set({ modelId: m ? String(m.id) : '', complaints: [], marks: [] }),
          getOptionLabel: (m) => `${m.maker} ${m.name}`,
          getOptionKey: (m) => m.id,
          autoHighlight: true,
        }}
      />
      <Press
        small
        tone="plain"
        onClick={() => set({ isNewModel: true, modelId: '', complaints: [], marks: [] })}
        className={styles.inNoList}
      >
        It is in no list: add it from its plate
      </Press>
    </>
  );
}

/** Every kind is drawn there: fetched when a model is in no list. */
function FromItsPlate({ form, models }: Omit<Props, 'kinds'>) {
  const { piece: NewModel, failed, again } = useLater('new-model', async () => (await import('./NewModel')).NewModel);
  if (NewModel) return <NewModel form={form} models={models} />;
  return <NotFetched failed={failed} what="The kinds of machines" again={again} />;
}
