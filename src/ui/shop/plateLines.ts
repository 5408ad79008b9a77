import type { ModelView } from '@/shop/models/dto';

/** A model's plate as lines of text, one item a line. @example plateLines([{ item: 'flat-belt', days: 90, hours: null, uses: null }]) // → ['flat-belt: 90 days'] */
export function plateLines(plates: ModelView['plates']): string[] {
  return plates.map(
    ({ item, days, hours, uses }) =>
      `${item}: ${[days && `${days} days`, hours && `${hours} h`, uses && `${uses} uses`].filter(Boolean).join(', ')}`,
  );
}

/** The same read back; what is no interval is left empty, and refused at its field. */
export function readPlates(lines: readonly string[]): ModelView['plates'] {
  return lines.flatMap((line) => {
    const [item, said = ''] = line.split(':', 2);
    if (!item?.trim()) return [];
    const of = (unit: string) => {
      const found = new RegExp(`(\\d+)\\s*${unit}`, 'i').exec(said);
      return found ? Number(found[1]) : null;
    };
    return [{ item: item.trim(), days: of('d'), hours: of('h'), uses: of('u') }];
  });
}
