import { isIBAN } from 'class-validator';
import { chargesOf, taxesOf } from '@/core/money/terms';
import { anyDocuments } from '@/data/documents';
import { database, type Db } from '@/data/database';
import { lockShop, shopSettings, updateShop } from '@/data/shopSettings';
import { schools, type SchoolChoices } from '@/knowledge/schools';
import { owner } from '../access/roles';
import { onVersion, shopDeed } from '../deed/deed';
import { refuseIf } from '../problem';
import {
  AmendPhrasesDto,
  AmendSchoolsDto,
  AmendTermsDto,
  type Letterhead,
  type SchoolChoiceDto,
  type TermsView,
} from './dto';

export const NO_LETTERHEAD: Letterhead = {
  address: '',
  phone: '',
  taxNumber: '',
  iban: '',
  bic: '',
  country: '',
  payDays: 14,
  footer: '',
};

export const letterheadOf = (kept: object): Letterhead => ({ ...NO_LETTERHEAD, ...kept });

export function termsOf(db: Db = database()): Promise<TermsView> {
  return view(db);
}

async function view(db: Db): Promise<TermsView> {
  const s = await shopSettings(db);
  return {
    version: s.version,
    locale: s.locale,
    currency: s.currency,
    labourMinor: s.labour_minor,
    agreeFirst: s.agree_first,
    charges: chargesOf(s.charges),
    taxes: taxesOf(s.taxes),
    letterhead: letterheadOf(s.letterhead),
    schools: s.schools as SchoolChoices,
    phrases: s.phrases as TermsView['phrases'],
  };
}

/** What an hour costs, fees, taxes, and what stands at the head of every paper. */
export const amendTerms = shopDeed(
  {
    name: 'amend-terms',
    roles: owner,
    summary: 'Change what is charged, taxed and printed at the head',
    dto: AmendTermsDto,
  },
  (person, dto): Promise<TermsView> =>
    onVersion(person, 'amend-terms', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db, row) => {
      const ids = dto.taxes.taxes.map((t) => t.id);
      const changesCurrency = dto.currency !== row.currency;
      refuseIf([
        ...(isLocale(dto.locale) ? [] : [{ field: 'locale', message: 'A language and land, such as en-GB.' }]),
        ...(isCurrency(dto.currency) ? [] : [{ field: 'currency', message: 'A currency of ISO 4217, such as EUR.' }]),
        ...(changesCurrency && (await anyDocuments(db))
          ? [{ field: 'currency', message: `Papers were given in ${row.currency}: it stays.` }]
          : []),
        ...(new Set(ids).size === ids.length ? [] : [{ field: 'taxes.taxes', message: 'Two taxes have one name.' }]),
        ...(dto.letterhead.iban === '' || isIBAN(dto.letterhead.iban)
          ? []
          : [{ field: 'letterhead.iban', message: 'Its check digits are wrong.' }]),
      ]);
      const { locale, currency, agreeFirst, charges, taxes, letterhead, labourMinor } = dto;
      await updateShop(db, {
        locale,
        currency,
        agree_first: agreeFirst,
        charges: { ...charges },
        taxes: { ...taxes },
        letterhead: { ...letterhead },
        ...(labourMinor === undefined ? {} : { labour_minor: labourMinor }),
      });
    }),
);

/** Which side the shop takes where good practitioners differ. */
export const amendSchools = shopDeed(
  { name: 'amend-schools', roles: owner, summary: 'Choose the schools of the shop', dto: AmendSchoolsDto },
  (person, dto): Promise<TermsView> =>
    onVersion(person, 'amend-schools', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db) => {
      await updateShop(db, { schools: choicesOf(dto.schools) });
    }),
);

/** What owners are told in a language; an empty phrase is told in the shop’s own. */
export const amendPhrases = shopDeed(
  {
    name: 'amend-phrases',
    roles: owner,
    summary: 'Write what owners are told in another language',
    dto: AmendPhrasesDto,
  },
  (person, dto): Promise<TermsView> =>
    onVersion(person, 'amend-phrases', dto, { id: 1, what: 'The shop', lock: lockShop, view }, async (db, row) => {
      const written = Object.fromEntries(
        dto.phrases.filter((p) => p.text.trim() !== '').map((p) => [p.id, p.text.trim()]),
      );
      await updateShop(db, { phrases: { ...row.phrases, [dto.language]: written } });
    }),
);

/** Choices by their question. @throws ProblemError 400 for a question that there is not */
export function choicesOf(list: readonly SchoolChoiceDto[]): SchoolChoices {
  refuseIf(
    list.flatMap(({ id }, i) =>
      schools.some((s) => s.id === id) ? [] : [{ field: `schools[${i}].id`, message: 'There is no such question.' }],
    ),
  );
  return Object.fromEntries(list.map((c) => [c.id, c.side]));
}

function isLocale(locale: string): boolean {
  try {
    return Intl.getCanonicalLocales(locale).length === 1;
  } catch {
    return false;
  }
}

const isCurrency = (code: string) => Intl.supportedValuesOf('currency').includes(code);
