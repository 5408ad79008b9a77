import styles from './terms.module.css';

/** Terms at the left, what holds at the right. */
export function TermList({ rows }: { rows: [term: string, text: string][] }) {
  return (
    <dl className={styles.terms}>
      {rows.map(([term, text]) => (
        <div key={term} className={styles.pair}>
          <dt>{term}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
