import type { ComponentProps, ComponentPropsWithRef } from 'react';
import NextLink from '../theme/NextLink';
import styles from './press.module.css';
import { classes } from './Words';

interface Look {
  /** The one to press next, one among others, or words only. */
  tone?: 'strong' | 'line' | 'plain';
  small?: boolean;
}

/** A button of the bench without a component of the library for each: for screens that have dozens. */
export function Press({ tone = 'line', small, className, ...rest }: Look & ComponentPropsWithRef<'button'>) {
  return <button type="button" className={look(tone, small, className)} {...rest} />;
}

/** The same that leads somewhere. */
export function PressLink({ tone = 'line', small, className, ...rest }: Look & ComponentProps<typeof NextLink>) {
  return <NextLink className={look(tone, small, className)} {...rest} />;
}

const look = (tone: NonNullable<Look['tone']>, small: boolean | undefined, className: string | undefined) =>
  classes(styles.press, tone !== 'line' && styles[tone], small && styles.small, className);
