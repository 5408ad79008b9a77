'use client';

import { ambiguity } from '@/core/units/units';
import { ReadField, type ReadFieldProps } from './ReadField';
import { readNumber } from './readNumber';

type Props = Omit<ReadFieldProps<number>, 'shown' | 'read' | 'onRead' | 'told'> & {
  value: number | null;
  /** Not less and not more than these. */
  least: number;
  most: number;
  /** Only whole ones. */
  whole?: boolean;
  onValue: (value: number | null) => void;
};

/** A plain number as it is typed: to a value within its bounds, or an error at the field, never to nothing or another number. */
export function CountField({ value, least, most, whole = true, onValue, ...rest }: Props) {
  const read = (typed: string) => {
    const number = readNumber(typed);
    if (number === null || number === undefined) return number;
    return number < least || number > most || (whole && !Number.isInteger(number)) ? undefined : number;
  };
  return (
    <ReadField
      {...rest}
      shown={value === null ? '' : String(value)}
      read={read}
      onRead={onValue}
      told={(typed) =>
        ambiguity('number', typed) ?? `${whole ? 'A whole number' : 'A number'} from ${least} to ${most}.`
      }
    />
  );
}
