'use client';

import { decimalOf, readMoney } from '@/core/money/currency';
import { ReadField, type ReadFieldProps } from './ReadField';

type Props = Omit<ReadFieldProps<number>, 'shown' | 'read' | 'onRead' | 'told'> & {
  minor: number | null;
  currency: string;
  /** Null for nothing typed; not called for what is no amount. */
  onMinor: (minor: number | null) => void;
};

/** An amount as it is typed: to a value, or an error at the field, never to another amount. */
export function MoneyField({ minor, currency, onMinor, ...rest }: Props) {
  return (
    <ReadField
      {...rest}
      shown={minor === null ? '' : decimalOf(minor, currency)}
      read={(typed) => readMoney(typed, currency)}
      onRead={onMinor}
      told="An amount, such as 12.50."
    />
  );
}
