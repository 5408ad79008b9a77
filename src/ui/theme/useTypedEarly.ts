'use client';

import { useEffect, useRef } from 'react';
import { KEPT } from './typedEarly';

type Field = HTMLInputElement | HTMLTextAreaElement | HTMLSelectElement;

/** Gives back what was typed early into the fields that are awake now, as if it was typed at this moment. */
function retype(isAwake: (field: Field) => boolean): void {
  const kept = (window as { [KEPT]?: Map<Field, string> })[KEPT];
  // What is given back is heard by the keeper again, which would give it back for ever.
  for (const [field, typed] of [...(kept ?? [])]) {
    if (!isAwake(field)) continue;
    const { set } = Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field) as object, 'value')!;
    // What the field's own setter is told is known to the page already: it must learn of a change.
    field.value = '';
    set!.call(field, typed);
    field.dispatchEvent(new Event(field instanceof HTMLSelectElement ? 'change' : 'input', { bubbles: true }));
    kept!.delete(field);
  }
}

/** Marks a piece of the page that wakes after the rest of it. */
export const WAKES_LATER = { 'data-wakes-later': '' };

/** For a piece that wakes later: what was typed into it before. @returns where it stands, beside `WAKES_LATER` */
export function useTypedEarly<E extends HTMLElement>() {
  const place = useRef<E>(null);
  useEffect(() => {
    retype((field) => place.current!.contains(field));
    for (const mark of Object.keys(WAKES_LATER)) place.current!.removeAttribute(mark);
  }, []);
  return place;
}

/** For the frame of all pages: what was typed before it was awake, but for the pieces that wake later. */
export function useAllTypedEarly(): void {
  useEffect(() => {
    retype((field) => field.closest('[data-wakes-later]') === null);
    // From now on the page hears for itself.
    const kept = (window as { [KEPT]?: Map<Field, string> })[KEPT];
    const forget = (e: Event) => {
      const field = e.target as Field;
      if (field.closest?.('[data-wakes-later]') === null) kept?.delete(field);
    };
    document.addEventListener('input', forget, true);
    return () => document.removeEventListener('input', forget, true);
  }, []);
}
