import type { ComponentProps } from 'react';
import { useLater } from '../asking/useLater';
import type { DayField } from './DayField';
import { NotFetched } from './NotFetched';

/** A day field on a page that can do without one until somebody asks for it: the calendar is fetched then. */
export function LaterDayField(props: ComponentProps<typeof DayField>) {
  const { piece: Field, failed, again } = useLater('day-field', async () => (await import('./DayField')).DayField);
  if (Field) return <Field {...props} />;
  return <NotFetched failed={failed} what="The calendar" again={again} />;
}
