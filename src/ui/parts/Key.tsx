import styles from './parts.module.css';

/** A key of the keyboard, drawn as a small enamel cap. */
export function Key({ children }: { children: string }) {
  return <kbd className={styles.key}>{children}</kbd>;
}

/** The same beside the words of a button, which is called by its words alone. */
export function ShownKey({ children }: { children: string }) {
  return (
    <span aria-hidden className={styles.shown}>
      <Key>{children}</Key>
    </span>
  );
}
