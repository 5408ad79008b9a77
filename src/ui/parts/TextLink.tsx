import type { ReactNode } from 'react';
import NextLink from '../theme/NextLink';
import styles from './parts.module.css';

/** A link among words, where there are many of them. */
export function TextLink({ href, children }: { href: string; children: ReactNode }) {
  return (
    <NextLink href={href} className={styles.link}>
      {children}
    </NextLink>
  );
}
