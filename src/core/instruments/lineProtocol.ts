import { OVER_RANGE_OHM, toBase, type Quantity } from '../units/units';

/**
 * The line protocol of bench instruments (docs/instruments.md): one reading per line of ASCII,
 * `<quantity> <value> <unit>*<checksum>` and a line feed, such as `voltage 116.2 V*1E`. The value is a decimal number, or
 * `OL` for an instrument that is over its range. The checksum is the exclusive or of the bytes before the asterisk, as two
 * hexadecimal digits.
 */
export interface MeterReading {
  quantity: MeterQuantity;
  /** In the quantity's base unit. */
  value: number;
}

/** A line that is no reading: cut short, garbled on the way, or of something that is not measured here. */
export class MeterLineError extends Error {}

/** The quantities that an instrument sends, each with the unit in which it does. */
export const UNITS_ON_THE_LINE = {
  voltage: 'V',
  resistance: 'ohm',
  current: 'A',
  speed: 'rpm',
  length: 'mm',
  pressure: 'kPa',
  time: 'min',
  percent: '%',
  force: 'N',
  mass: 'g',
  flow: 'L/s',
  temperature: 'C',
} as const satisfies Partial<Record<Quantity, string>>;

export type MeterQuantity = keyof typeof UNITS_ON_THE_LINE;

export function checksum(text: string): string {
  let sum = 0;
  for (let i = 0; i < text.length; i++) sum ^= text.charCodeAt(i) & 0xff;
  return sum.toString(16).toUpperCase().padStart(2, '0');
}

/** A reading as an instrument sends it, with the line feed. */
export function meterLine({ quantity, value }: MeterReading): string {
  const shown = quantity === 'resistance' && value >= OVER_RANGE_OHM ? 'OL' : String(Number(value.toPrecision(5)));
  const text = `${quantity} ${shown} ${UNITS_ON_THE_LINE[quantity]}`;
  return `${text}*${checksum(text)}\n`;
}

/** @throws MeterLineError */
export function parseMeterLine(line: string): MeterReading {
  const match = /^([a-z]+) (OL|-?\d+(?:\.\d+)?(?:e[+-]?\d+)?) (\S+)\*([0-9A-F]{2})\r?$/.exec(line);
  if (!match) throw new MeterLineError(`Not a reading: ${line.slice(0, 60)}`);
  const [, quantity, shown, unit, sum] = match as unknown as [string, string, string, string, string];
  if (checksum(line.slice(0, line.lastIndexOf('*'))) !== sum)
    throw new MeterLineError('Garbled on the way: read again.');
  if (!Object.hasOwn(UNITS_ON_THE_LINE, quantity)) throw new MeterLineError(`${quantity} is not measured here.`);
  if (shown === 'OL') {
    if (quantity !== 'resistance') throw new MeterLineError('Over its range: choose a higher one.');
    return { quantity: 'resistance', value: OVER_RANGE_OHM };
  }
  try {
    return { quantity: quantity as MeterQuantity, value: toBase(quantity as MeterQuantity, Number(shown), unit) };
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new MeterLineError(error.message);
  }
}

/** Cuts what arrives into lines; a rest without its line feed waits for more. Overlong rests are dropped. */
export function lineSplitter(): (chunk: string) => string[] {
  let rest = '';
  return (chunk) => {
    const lines = (rest + chunk).split('\n');
    rest = lines.pop()!;
    if (rest.length > 200) rest = '';
    return lines.filter((l) => l.trim() !== '');
  };
}
