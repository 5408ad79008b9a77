import { useHearing } from '../hearing/useHearing';
import { PlainChoice } from '../parts/PlainChoice';
import { Toggle } from '../parts/Ways';
import { Words } from '../parts/Words';
import styles from './job.module.css';
import { bookOf } from './trade';
import type { JobDesk } from './useJob';

/** Which complaints the bench means: those heard in its words, or any that such a machine can have. */
export function SeenChoice({
  desk: { job },
  words,
  chosen,
  wrong,
  onChoose,
}: {
  desk: JobDesk;
  words: string;
  chosen: readonly string[];
  wrong: string | undefined;
  onChoose: (chosen: string[]) => void;
}) {
  const { kind } = job.machine;
  const offered = bookOf(kind).knowledge.complaints.filter(
    (c) => c.kinds.includes(kind) && !job.complaints.includes(c.id),
  );
  const { proposed } = useHearing({ words, complaints: [...job.complaints, ...chosen], visit: '' }, offered);
  const shown = [...chosen, ...proposed.flatMap((p) => (p.complaint ? [p.complaint] : []))];
  const turn = (id: string) => onChoose(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
  return (
    <div role="group" aria-label="What is seen" className={styles.seen}>
      {offered
        .filter((c) => shown.includes(c.id))
        .map((c) => (
          <Toggle key={c.id} on={chosen.includes(c.id)} onPress={() => turn(c.id)}>
            {c.label}
          </Toggle>
        ))}
      <PlainChoice
        label={shown.length > 0 ? 'Or' : 'As a complaint'}
        value=""
        onChoose={turn}
        options={[{ id: '', label: 'choose …' }, ...offered.filter((c) => !shown.includes(c.id))]}
      />
      {wrong && (
        <Words size="caption" role="alert" className={styles.wrong}>
          {wrong}
        </Words>
      )}
    </div>
  );
}
