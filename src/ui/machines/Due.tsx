import { moneyText } from '@/core/money/currency';
import type { MachineCardView } from '@/shop/machines/dto';
import type { PlanView } from '@/shop/plans/dto';
import { byWords, habitWords, spanWords } from '@/core/service/dueWords';
import { Empty } from '../parts/Notice';
import { Reading } from '../parts/Reading';
import { classes, Words } from '../parts/Words';
import table from '../table/table.module.css';
import styles from './card.module.css';

/** What falls due on a machine: within which days, by what, what its plate and the bench say, and what it costs to wait. */
export function Due({ card }: { card: MachineCardView }) {
  return (
    <section aria-label="Plans" className={styles.scrolled}>
      <Words size="h2">Due</Words>
      {card.plans.length === 0 ? (
        <Empty>Nothing of this kind is planned.</Empty>
      ) : (
        <table className={classes(table.table, styles.due)}>
          <thead>
            <tr>
              <th scope="col">What</th>
              <th scope="col">Done last</th>
              <th scope="col">Due</th>
              <th scope="col">+ 1 week</th>
            </tr>
          </thead>
          <tbody>
            {card.plans.map((p) => (
              <tr key={p.item}>
                <td>
                  {p.label}
                  <span className={styles.under}>{habits(p)}</span>
                </td>
                <td className={styles.day}>{p.lastDoneOn ? <Reading>{p.lastDoneOn}</Reading> : 'not known'}</td>
                <td className={classes(p.overdue && !p.byItsPeople && styles.brass)}>
                  {p.dueOn ? (
                    <Reading strong={p.overdue}>{p.overdue ? p.dueOn : spanWords({ ...p, on: p.dueOn })}</Reading>
                  ) : (
                    'look at it next time'
                  )}
                  {p.overdue && !p.byItsPeople && ' past'}
                  {p.by && byWords(p.by) && <span className={styles.under}>{byWords(p.by)}</span>}
                </td>
                <td>{p.weekMinor !== null && p.weekMinor > 0 && moneyText(p.weekMinor, card.currency, card.locale)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </section>
  );
}

/** The plate beside the bench: the plate’s limit holds, use shortens the rest. */
function habits({ maker, bench, own, byItsPeople }: PlanView): string {
  const plate = habitWords(maker);
  const ours = habitWords(bench);
  return [
    ours && `${own ? 'this shop' : 'the bench'}: ${ours}`,
    plate && plate !== ours && `the plate: ${plate}`,
    byItsPeople && 'by its people, between visits',
  ]
    .filter(Boolean)
    .join('; ');
}
