import styles from './parts.module.css';

/** The name plate: a roll seen from its end, and the name. */
export function Mark() {
  return (
    <span className={styles.mark}>
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="6" fill="none" stroke="currentColor" strokeWidth="2.4" />
        <circle cx="13" cy="13" r="1.8" fill="currentColor" />
        {Array.from({ length: 10 }, (_, i) => {
          const a = (i * Math.PI) / 5;
          const [c, s] = [Math.cos(a), Math.sin(a)];
          const at = (r: number) => [(13 + r * c).toFixed(2), (13 + r * s).toFixed(2)];
          const [x1, y1] = at(8);
          const [x2, y2] = at(11.6);
          return (
            <line
              key={i}
              x1={x1}
              y1={y1}
              x2={x2}
              y2={y2}
              stroke="currentColor"
              strokeWidth="1.8"
              strokeLinecap="round"
            />
          );
        })}
      </svg>
      <span>Grit Keeper</span>
    </span>
  );
}
