import { useMemo, type CSSProperties } from 'react';
import type { Fields, RawValues } from '@/core/gauges/fields';
import styles from '../gauge.module.css';
import { DeskOfPlaces, type Place } from './marks';

/** Goes to the field of a place, as a press on its name does. */
function goTo(field: string): void {
  document.querySelector<HTMLElement>(`[data-field="${field}"] :is(input, textarea, select)`)?.focus();
}

/**
 * The thing with the places at which it is measured, named as the fields are. What is typed stands at its place; the place of
 * the field that is being typed into is marked, and a press on a place leads to its field.
 */
export function GaugePlaces({
  place,
  fields,
  typed,
  at,
}: {
  place: Place;
  fields: Fields;
  typed: RawValues;
  at: string | null;
}) {
  const desk = useMemo(() => ({ fields, typed, at, onPick: goTo }), [fields, typed, at]);
  return (
    <DeskOfPlaces value={desk}>
      <svg
        viewBox={`0 -8 440 ${place.height + 8}`}
        role="img"
        aria-label={place.says}
        className={styles.place}
        style={{ '--place-line': `var(--mui-palette-bench-lines-${place.line})` } as CSSProperties}
      >
        {place.draw}
      </svg>
    </DeskOfPlaces>
  );
}
