import styles from './parts.module.css';

/** A key of the keyboard, drawn as a small enamel cap. */
export function Key({ children }: { children: string }) {
  return <kbd className={styles.key}>{children}</kbd>;
}
