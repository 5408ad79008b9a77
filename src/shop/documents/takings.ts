import { database } from '@/data/database';
import { dayClose, insertDayClose, lockDrawer, takingsOf } from '@/data/documents';
import { shopSettings } from '@/data/shopSettings';
import { counter } from '../access/roles';
import { once, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import { isCalendarDate } from '../settings/day';
import { shopToday } from '../settings/shopToday';
import { CloseDayDto, type TakingsView } from './dto';

/** What was taken on a day, and whether it was counted. */
export async function takings(day: string): Promise<TakingsView> {
  const db = database();
  const [taken, closed, shop] = await Promise.all([takingsOf(db, day), dayClose(db, day), shopSettings(db)]);
  return {
    day,
    currency: shop.currency,
    locale: shop.locale,
    taken,
    closed: closed
      ? {
          expectedMinor: closed.expected_minor,
          countedMinor: closed.counted_minor,
          note: closed.note,
          at: closed.at.toISOString(),
        }
      : null,
  };
}

/** Closes a day with what lies in the drawer; what differs is kept, not hidden. */
export const closeDay = shopDeed(
  { name: 'close-day', roles: counter, summary: 'Count the drawer and close the day', dto: CloseDayDto },
  async (person, dto): Promise<TakingsView> => {
    const today = await shopToday();
    refuseIf([
      ...(isCalendarDate(dto.day) && dto.day <= today ? [] : [{ field: 'day', message: 'A day up to today.' }]),
    ]);
    await once(person, 'close-day', dto, dto.day, async (db) => {
      await lockDrawer(db);
      const taken = await takingsOf(db, dto.day);
      const expected = taken.find((t) => t.how === 'cash')?.minor ?? 0;
      refuseIf(
        expected !== dto.countedMinor && dto.note.trim() === ''
          ? [{ field: 'note', message: 'It differs from what was taken: say why, as far as you know.' }]
          : [],
      );
      const isFresh = await insertDayClose(db, {
        day: dto.day,
        expected_minor: expected,
        counted_minor: dto.countedMinor,
        note: dto.note.trim(),
        person_id: person.id,
      });
      refuseIf(isFresh ? [] : [{ field: 'day', message: 'It is closed already.' }]);
      return { day: dto.day };
    });
    return takings(dto.day);
  },
);
