import { putVisitDate } from '@/data/rounds';
import { shopSettings } from '@/data/shopSettings';
import { everyone } from '../access/roles';
import { deedOn, onVersion } from '../deed/deed';
import { refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { customerHeld } from './customerHeld';
import { AgreeVisitDto } from './dto';

/** Keeps the day that a customer agreed to for what falls due, with their words; without a day it is taken back. */
export const agreeVisit = deedOn(
  { name: 'agree-visit', roles: everyone, summary: 'Agree a day for what falls due', dto: AgreeVisitDto },
  (person, id: number, dto): Promise<{ id: number; version: number }> =>
    onVersion(person, 'agree-visit', dto, customerHeld(id), async (db) => {
      const day = dto.day ?? null;
      const today = dayInZone(new Date(), (await shopSettings(db)).zone);
      refuseIf(day !== null && day < today ? [{ field: 'day', message: 'A day to come.' }] : []);
      await putVisitDate(db, id, day === null ? null : { on_day: day, words: dto.words.trim(), person_id: person.id });
    }),
);
