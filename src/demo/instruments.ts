import type { Knex } from 'knex';
import { addDays } from '@/core/service/days';
import type { InstrumentRow } from '@/data/instruments';

/** Invented instruments: one falls due soon, one ran out, one nobody calibrates. */
export async function writeInstruments(db: Knex, today: string): Promise<void> {
  const made = (
    name: string,
    measures: string,
    goodTo: number | null,
    daysAgo: number | null,
    more: Partial<InstrumentRow> = {},
  ) => ({
    name,
    measures,
    good_to_percent: goodTo,
    calibrated_on: daysAgo === null ? null : addDays(today, -daysAgo),
    every_months: 12,
    certificate: daysAgo === null ? '' : 'drawer under the test bench',
    ...more,
  });
  await db('instrument').insert([
    made('Safety tester', 'earth, insulation, leakage', 3, 121),
    made('Bench meter', 'volts, ohms, amperes', 1, 349),
    made('Old insulation tester', '500 V DC', 5, 512, { note: 'for a look only' }),
    made('Vacuum gauge', 'suction', 2, null, { note: 'held against the twin each spring' }),
  ]);
}
