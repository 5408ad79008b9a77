'use client';

import type { CounterNames } from '@/knowledge/atTheCounter';
import type { SearchRow } from '@/shop/search/dto';
import { Chooser } from '../parts/Chooser';
import { dayWords } from '../parts/dayWords';
import { LaterDayField } from '../parts/LaterDayField';
import { Notice } from '../parts/Notice';
import { PlainCheck } from '../parts/PlainCheck';
import { Reading } from '../parts/Reading';
import { TextLink } from '../parts/TextLink';
import { Words } from '../parts/Words';
import { Chosen } from './Chosen';
import styles from './takeIn.module.css';
import { TypedField } from './TypedField';
import type { ModelChoice, TakeInForm } from './useTakeIn';
import type { Trade } from './useTrade';
import { WhichModel } from './WhichModel';
import { WhoseMachine } from './WhoseMachine';

interface Props {
  form: TakeInForm;
  models: ModelChoice[];
  kinds: CounterNames['kinds'];
  /** What is known of machines, when it is there. */
  trade: Trade | undefined;
  today: string;
  /** The machine is chosen: the hands go on to the customer's words. */
  onChosen: () => void;
}

/** One box that finds machine or owner by anything; or a new machine, on the same page. */
export function WhichMachine({ form, models, kinds, trade, today, onChosen }: Props) {
  const { values: v, set, fieldProblem: problem } = form;
  const choose = (row: SearchRow) => {
    if (row.sort === 'machine') {
      const { sort: _, ...machine } = row;
      set({ machine, isNew: false });
      onChosen();
    } else
      set({
        isNew: true,
        siteId: '',
        customer: { id: row.id, name: row.name, phone: row.phone, standing: row.standing },
        isNewCustomer: false,
      });
  };
  if (v.machine) {
    const m = v.machine;
    return (
      <>
        <Chosen
          title={`${m.tag} ${m.maker} ${m.model}`}
          text={`${m.owner}${m.phone ? `, ${m.phone}` : ''}${m.lastHereOn ? `, last here ${m.lastHereOn}` : ', first time here'}`}
          onDrop={() => set({ machine: null, warrantyChoice: 'none', marks: [] })}
        >
          {m.openJob && <TextLink href={`/jobs/${m.openJob}`}>It is here already: job {m.openJob}</TextLink>}
        </Chosen>
        {m.standing && <Notice title={`Always, for ${m.owner}: ${m.standing}`} />}
        {m.note && <Notice title={`Noted on this machine: ${m.note}`} />}
        {m.openFaults.length > 0 && (
          <Notice
            title={
              trade
                ? `Left open before: ${m.openFaults.map((f) => trade.faultLabel(f).toLowerCase()).join(', ')}.`
                : 'Something was left open before: its card says what.'
            }
          />
        )}
        {m.nextDueOn && m.nextDueOn < today && (
          <Notice title={`Service past due since ${dayWords(m.nextDueOn, today)}: offer it while it is here.`} />
        )}
      </>
    );
  }
  return (
    <>
      {!v.isNew && (
        <Chooser<SearchRow>
          label="Tag, serial, owner, phone or words"
          autoFocus
          url={(q) => `/api/v1/search?q=${encodeURIComponent(q)}`}
          problem={problem('machineId')}
          keyOf={(r) => `${r.sort}-${r.id}`}
          onChoose={choose}
          nothing="Nothing like it: add it as new."
          row={(r) =>
            r.sort === 'machine' ? (
              <>
                <Reading strong>{r.tag}</Reading> {r.maker} {r.model}, {r.owner} <Reading>{r.serial}</Reading>
                {r.openJob && ' (is here)'}
              </>
            ) : (
              <>
                A new machine of {r.name} <Reading>{r.phone}</Reading>
              </>
            )
          }
        />
      )}
      <PlainCheck label="New machine" checked={v.isNew} onCheck={(isNew) => set({ isNew })} />
      {v.isNew && (
        <>
          <WhichModel form={form} models={models} kinds={kinds} />
          <div className={styles.plate}>
            <TypedField form={form} name="serial" field="newMachine.serial" label="Serial" />
            <TypedField
              form={form}
              name="madeYear"
              field="newMachine.madeYear"
              label="Made in"
              help="year"
              mode="numeric"
            />
            <LaterDayField
              label="Bought on"
              day={v.purchasedOn}
              onDay={(purchasedOn) => set({ purchasedOn })}
              problem={problem('newMachine.purchasedOn')}
            />
            <TypedField
              form={form}
              name="hoursPerWeek"
              field="newMachine.hoursPerWeek"
              label="Use"
              help="hours a week"
              mode="decimal"
            />
          </div>
          <PlainCheck label="Pets at home" checked={v.pets} onCheck={(pets) => set({ pets })} />
          <Words size="h2">Whose is it</Words>
          <WhoseMachine form={form} />
        </>
      )}
    </>
  );
}
