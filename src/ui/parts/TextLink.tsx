import type { ComponentProps } from 'react';
import NextLink from '../theme/NextLink';
import styles from './parts.module.css';
import { classes } from './Words';

/** A link among words, in their colour; `small` in the size of the small print. */
export function TextLink({ small, className, ...rest }: { small?: boolean } & ComponentProps<typeof NextLink>) {
  return <NextLink className={classes(styles.link, small && styles.smallLink, className)} {...rest} />;
}
