import styles from './parts.module.css';
import { TextLink } from './TextLink';
import { Words } from './Words';

/** An address that leads nowhere: says so, and where to go on. Every page carries it: without weight. */
export function NotHere() {
  return (
    <div className={styles.trouble}>
      <Words size="h1">Not here</Words>
      <Words size="body">
        No machine, job or page answers to this address. <TextLink href="/machines">Search the machines</TextLink> or go
        to the <TextLink href="/">bench</TextLink>.
      </Words>
    </div>
  );
}
