import { offersOf, type Offer, type OfferLine } from '@/core/agree/offers';
import { addDays } from '@/core/service/days';
import { moneyText } from '@/core/money/currency';
import { chargesOf, labourTerms, taxesOf } from '@/core/money/terms';
import { insertEstimate } from '@/data/agree';
import type { JobState } from '@/data/jobState';
import { faultById } from '@/knowledge';
import { isSafetyFault } from '@/knowledge/safetyFaults';
import { everyone } from '../access/roles';
import { jobDeed } from '../jobDeed/jobDeed';
import { refuseIf, type FieldProblem } from '../problem';
import { dayInZone } from '../settings/day';
import { beginWait } from '../startWait/startWait';
import { MakeEstimateDto, type OfferLineDto } from './dto';
import type { EstimateTerms } from '../standing/dto';

/**
 * Puts offers before the owner: priced and added up here, whatever the screen reckoned. One that was made before stands in the
 * history, and is no longer what is answered.
 */
export const makeEstimate = jobDeed({
  name: 'make-estimate',
  roles: everyone,
  summary: 'Put offers before the owner',
  dto: MakeEstimateDto,
  async work(scene, dto) {
    const { db, jobId, kind, person, state, tell, change, facts } = scene;
    const charges = chargesOf(state.shop.charges);
    const today = dayInZone(new Date(), state.shop.zone);
    const lines = dto.lines.map((l): OfferLine => ({ ...l, safety: l.fault !== null && isSafetyFault(l.fault) }));
    refuseIf([
      ...lineProblems(dto, kind.id, state),
      ...(dto.readyOn < today ? [{ field: 'readyOn', message: 'That day is past.' }] : []),
      ...(dto.each ?? []).flatMap((e, i) =>
        e.readyOn < today ? [{ field: `each[${i}].readyOn`, message: 'That day is past.' }] : [],
      ),
    ]);
    const offers = pricedOffers(lines, dto, state);
    const most = offers.at(-1)?.bill.grossMinor ?? 0;
    refuseIf([
      ...(offers.length === 0 ? [{ field: 'lines', message: 'Nothing is offered: every line is put off.' }] : []),
      ...(dto.depositMinor > most ? [{ field: 'depositMinor', message: 'More than the whole.' }] : []),
    ]);
    const { replacement: r } = dto;
    const terms: EstimateTerms = {
      off100k: dto.off100k,
      offMinor: dto.offMinor,
      depositMinor: dto.depositMinor,
      readyOn: dto.readyOn,
      validUntil: addDays(today, charges.offerDays),
      warrantyDays: dto.warrantyDays,
      each: (dto.each ?? []).map(({ offer, readyOn, warrantyDays }) => ({ offer, readyOn, warrantyDays })),
      words: dto.words.trim(),
      exempt: state.customer.taxExempt,
      included: taxesOf(state.shop.taxes).included,
      replacement: {
        newMinor: r.newMinor ?? null,
        usedMinor: r.usedMinor ?? null,
        doubtFault: r.doubtFault ?? null,
        doubtMonths: r.doubtMonths ?? null,
      },
    };
    const number = await insertEstimate(db, { jobId, lines, offers, terms, personId: person.id });
    const money = (minor: number) => moneyText(minor, state.shop.currency, state.shop.locale);
    tell('estimate', `Estimate ${number}: ${offers.map((o) => `${o.id} ${money(o.bill.grossMinor)}`).join(', ')}.`);
    // An answer that is awaited is a wait like any other: the Bench shows when to ask again.
    if (facts.waits.every((w) => w.endedAt !== null))
      await beginWait(scene, { kind: 'answer', what: `estimate ${number}`, hours: 24 * charges.askAgainDays });
    if (facts.stage === 'find') change({ stage: 'agree' });
  },
});

function lineProblems({ lines }: MakeEstimateDto, kind: string, { shop }: JobState): FieldProblem[] {
  const ids = lines.map((l) => l.id);
  return lines.flatMap((line, i): FieldProblem[] => {
    const at = (field: string) => `lines[${i}].${field}`;
    const fault = line.fault === null ? undefined : faultById(line.fault);
    return [
      ...(ids.indexOf(line.id) === i ? [] : [{ field: at('id'), message: 'Two lines have one name.' }]),
      ...(line.fault === null || (fault && kind in fault.kinds)
        ? []
        : [{ field: at('fault'), message: `${kind} has no fault ${line.fault}.` }]),
      ...((line.minutes ?? 0) > 0 && shop.labourMinor === null
        ? [{ field: at('minutes'), message: 'What an hour costs is not said yet: in Shop, under Money.' }]
        : []),
      ...(line.minutes !== null && line.sort !== 'labour'
        ? [{ field: at('sort'), message: 'Minutes are labour.' }]
        : []),
      ...(line.group === 'not' && !lines.some((o) => o.reason.trim() !== '' && (o === line || isOneWith(o, line)))
        ? [{ field: at('reason'), message: 'Say why it is not worth it.' }]
        : []),
    ];
  });
}

/** The work of a repair and its part: what is said of one is said of both. */
const isOneWith = (a: OfferLineDto, b: OfferLineDto) => a.fault !== null && a.fault === b.fault && a.group === b.group;

function pricedOffers(lines: readonly OfferLine[], dto: MakeEstimateDto, { shop, customer }: JobState): Offer[] {
  const rules = taxesOf(shop.taxes);
  const charges = chargesOf(shop.charges);
  try {
    return offersOf(lines, {
      rules,
      labour: labourTerms(shop.labourMinor ?? 0, charges, rules),
      leastMinor: charges.leastMinor,
      exempt: customer.taxExempt,
      off100k: dto.off100k,
      offMinor: dto.offMinor,
    });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    refuseIf([{ field: 'offMinor', message: 'More off than the smallest offer comes to.' }]);
    throw error;
  }
}
