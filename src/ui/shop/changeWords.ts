import type { Change } from '@/core/strip/changed';
import type { Procedure } from '@/core/strip/procedure';
import { fastenerWords } from '@/core/strip/tray';

/** One change in words, as somebody at the bench would say it. */
export function changeWords(change: Change, { steps }: Pick<Procedure, 'steps'>): string {
  const label = (id: string) => `“${steps.find((s) => s.id === id)?.label ?? id}”`;
  switch (change.sort) {
    case 'drop':
      return `No step ${label(change.step)}.`;
    case 'note':
      return `At ${label(change.step)}: ${change.text}`;
    case 'fasteners':
      return `At ${label(change.step)} come out: ${change.fasteners.map(fastenerWords).join('; ')}.`;
    case 'move':
      return `${label(change.step)} comes after ${label(change.after)}.`;
    case 'add':
      return `After ${label(change.after)} one more: “${change.label}”, and on the way back “${change.back}”.`;
  }
}
