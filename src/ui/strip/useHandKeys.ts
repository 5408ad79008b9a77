import { useHotkeys } from 'react-hotkeys-hook';

/** A press on something that has the focus is its own: no key does two things. */
const isOwn = (event: KeyboardEvent) =>
  event.target instanceof Element &&
  event.target.closest('button, a, input, textarea, select, [role=checkbox]') !== null;

/**
 * What greasy hands can press: Enter, Space or a foot switch (Page Down) goes on, Backspace goes back.
 * @param on nothing is done while it is false
 */
export function useHandKeys(on: boolean, forward: () => void, back: () => void): void {
  useHotkeys(
    'enter, space, pagedown',
    (event) => {
      if (!on || isOwn(event)) return;
      event.preventDefault();
      // A foot that rests on the switch presses once.
      if (!event.repeat) forward();
    },
    [on, forward],
  );
  useHotkeys(
    'backspace, pageup',
    (event) => {
      if (!on || isOwn(event)) return;
      event.preventDefault();
      if (!event.repeat) back();
    },
    [on, back],
  );
}
