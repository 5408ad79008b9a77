import { addressOf } from '@/app/addressOf';
import { answer } from '@/app/answer';
import { download } from '@/app/download';
import { calendarOf } from '@/shop/rounds/calendar';

/** A calendar by its secret address: programs that read calendars carry no other key. */
export const GET = answer<{ params: Promise<{ file: string }> }>(async (request, { params }) => {
  const token = (await params).file.replace(/\.ics$/, '');
  return download(await calendarOf(token, addressOf(request)), 'text/calendar; charset=utf-8', 'rounds.ics', true);
});
