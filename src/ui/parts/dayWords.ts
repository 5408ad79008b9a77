// Written out: the browser's own formats of a language cost a phone a tenth of a second, and every page writes days.
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

const noonOf = (isoDate: string) => new Date(`${isoDate}T12:00:00Z`);

/** Of a calendar date: `Thu`. */
export const weekdayOf = (isoDate: string): string => WEEKDAYS[noonOf(isoDate).getUTCDay()]!;

/** A calendar date for people: `today`, `tomorrow`, else `Thu 26 Nov`, with the year when it is another. */
export function dayWords(isoDate: string, today: string): string {
  if (isoDate === today) return 'today';
  const at = noonOf(isoDate);
  if (at.getTime() - noonOf(today).getTime() === 86_400_000) return 'tomorrow';
  const year = isoDate.slice(0, 4) === today.slice(0, 4) ? '' : ` ${isoDate.slice(0, 4)}`;
  return `${weekdayOf(isoDate)} ${Number(isoDate.slice(8))} ${MONTHS[at.getUTCMonth()]}${year}`;
}
