const format = (options: Intl.DateTimeFormatOptions) => new Intl.DateTimeFormat('en', { ...options, timeZone: 'UTC' });
const WEEKDAY = format({ weekday: 'short' });
const MONTH = format({ month: 'short' });

/** A calendar date for people: `today`, `tomorrow`, else `Thu 26 Nov`, with the year when it is another. */
export function dayWords(isoDate: string, today: string): string {
  if (isoDate === today) return 'today';
  const at = new Date(`${isoDate}T12:00:00Z`);
  if (at.getTime() - Date.parse(`${today}T12:00:00Z`) === 86_400_000) return 'tomorrow';
  const year = isoDate.slice(0, 4) === today.slice(0, 4) ? '' : ` ${isoDate.slice(0, 4)}`;
  return `${WEEKDAY.format(at)} ${Number(isoDate.slice(8))} ${MONTH.format(at)}${year}`;
}
