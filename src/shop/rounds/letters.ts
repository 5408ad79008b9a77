import { merged, unknownFields } from '@/core/letters/mergeFields';
import { addDays } from '@/core/service/days';
import { database, type Db } from '@/data/database';
import { dueCustomers, dueItems } from '@/data/rounds';
import { lockShop, shopSettings, updateShop, type ShopRow } from '@/data/shopSettings';
import { planItem } from '@/knowledge/plans';
import { owner } from '../access/roles';
import { onVersion, shopDeed } from '../deed/deed';
import { inPaperThread } from '../papers/paperThreads';
import { refuseIf } from '../problem';
import { dayInZone } from '../settings/day';
import { AmendLettersDto, LETTER_FIELDS, type LettersView, type RoundsAsked } from './dto';

/** More are not printed at once. */
const MOST_LETTERS = 200;
const MOST_LINES = 4000;

const USUAL = {
  subject: 'Your machines fall due',
  words:
    'Dear {owner},\n\nthis falls due on what you have from us:\n\n{machines}\n\nCall us, and we make a day of it.\n\n{shop}\n{phone}',
};

/** What owners are written when something falls due: as the shop wrote it, or as we propose. */
export function lettersOf({ letters }: Pick<ShopRow, 'letters'>): { subject: string; words: string } {
  return { subject: letters.subject || USUAL.subject, words: letters.words || USUAL.words };
}

async function view(db: Db): Promise<LettersView> {
  const shop = await shopSettings(db);
  return { version: shop.version, ...lettersOf(shop), fields: [...LETTER_FIELDS] };
}

export const letters = (): Promise<LettersView> => view(database());

export const amendLetters = shopDeed(
  {
    name: 'amend-letters',
    roles: owner,
    summary: 'Change the words of the letters about what falls due',
    dto: AmendLettersDto,
  },
  (person, dto): Promise<LettersView> =>
    onVersion(person, 'amend-letters', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db) => {
      const unknown = (['subject', 'words'] as const).flatMap((field) =>
        unknownFields(dto[field], LETTER_FIELDS).map((f) => ({
          field,
          message: `There is no {${f}}: ${LETTER_FIELDS.map((k) => `{${k}}`).join(', ')}.`,
        })),
      );
      refuseIf(unknown);
      await updateShop(db, { letters: { subject: dto.subject.trim(), words: dto.words.trim() } });
    }),
);

type Line = { tag: string; maker: string; model: string; item: string; due_on: string };

/** What falls due, machine by machine. */
export function machineLines(lines: readonly Line[], today: string): string {
  return [...new Set(lines.map((l) => l.tag))]
    .map((tag) => {
      const own = lines.filter((l) => l.tag === tag);
      const items = own.map(
        (l) => `${(planItem(l.item)?.label ?? l.item).toLowerCase()}, ${l.due_on < today ? 'now' : l.due_on}`,
      );
      return `- ${own[0]!.maker} ${own[0]!.model} (${tag}): ${items.join('; ')}`;
    })
    .join('\n');
}

/** A letter to everybody for whom something falls due and who wants letters, as one PDF to print. @throws ProblemError 400 for nobody */
export async function lettersPdf({ ahead, ...asked }: RoundsAsked): Promise<Uint8Array<ArrayBuffer>> {
  const db = database();
  const shop = await shopSettings(db);
  const today = dayInZone(new Date(), shop.zone);
  const until = addDays(today, ahead);
  const customers = (await dueCustomers(db, { ...asked, until }, MOST_LETTERS)).filter((c) => !c.no_letters);
  refuseIf(customers.length > 0 ? [] : [{ field: 'ahead', message: 'Nobody has anything due who wants letters.' }]);
  const items = await dueItems(
    db,
    customers.map((c) => c.id),
    { ...asked, until },
    MOST_LINES,
  );
  const head = shop.letterhead as { address?: string; phone?: string };
  const text = lettersOf(shop);
  return new Uint8Array(
    await inPaperThread('lettersPaper', {
      paper: shop.paper,
      shop: { name: shop.name, address: head.address ?? '', phone: head.phone ?? '' },
      date: today,
      letters: customers.map((c) => {
        const fields = {
          owner: c.name,
          machines: machineLines(
            items.filter((i) => i.customer_id === c.id),
            today,
          ),
          shop: shop.name,
          phone: head.phone ?? '',
          date: today,
        };
        return {
          name: c.name,
          address: c.address,
          subject: merged(text.subject, fields),
          words: merged(text.words, fields),
        };
      }),
    }),
  );
}
