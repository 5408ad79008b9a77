import styles from './field.module.css';

/** A mark to be set or not, with its words. */
export function PlainCheck({
  label,
  checked,
  onCheck,
}: {
  label: string;
  checked: boolean;
  onCheck: (checked: boolean) => void;
}) {
  return (
    <label className={styles.check}>
      <input type="checkbox" checked={checked} onChange={(e) => onCheck(e.target.checked)} />
      {label}
    </label>
  );
}
