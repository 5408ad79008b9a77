import type { HTMLAttributes } from 'react';
import styles from './words.module.css';

type Size = 'h1' | 'h2' | 'h3' | 'body' | 'small' | 'caption' | 'overline';
type Tag = 'p' | 'span' | 'div' | 'h1' | 'h2' | 'h3' | 'summary' | 'figcaption';

interface Props extends HTMLAttributes<HTMLElement> {
  size?: Size;
  /** The element; a heading's own where the size is a heading's. */
  as?: Tag;
  tone?: 'soft' | 'brass';
  weight?: 'strong' | 'heavy';
}

/** Words in the sizes of the theme, without a component of the library for each. */
export function Words({ size = 'small', as, tone, weight, className, ...rest }: Props) {
  const Element: Tag = as ?? (size === 'h1' || size === 'h2' || size === 'h3' ? size : 'p');
  return (
    <Element className={classes(styles[size], tone && styles[tone], weight && styles[weight], className)} {...rest} />
  );
}

/** Names of classes as one attribute. */
export function classes(...names: (string | false | null | undefined)[]): string {
  return names.filter(Boolean).join(' ');
}
