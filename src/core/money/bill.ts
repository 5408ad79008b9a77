import { priceOf, RATE_UNIT, shareOf, divided, type Rounding } from './rounded';
import { splitBy } from './splitBy';

/** What a line is for: taxes and discounts may differ by it. */
export const LINE_SORTS = ['labour', 'part', 'material', 'fee'] as const;
export type LineSort = (typeof LINE_SORTS)[number];

export interface Tax {
  id: string;
  label: string;
  /** Hundred-thousandths: 8.875 % is 8875. */
  per100k: number;
  /** The lines it is on. */
  on: readonly LineSort[];
}

/** How a shop’s taxes are reckoned. */
export interface TaxRules {
  taxes: readonly Tax[];
  /** Prices are told with the taxes in them. */
  included: boolean;
  /** Each line is rounded by itself; otherwise each tax once, over all its lines. */
  perLine: boolean;
  rounding: Rounding;
}

export interface BillLine {
  sort: LineSort;
  /** 1000 is one. */
  thousandths: number;
  eachMinor: number;
  /** Off this line alone, hundred-thousandths. */
  off100k?: number;
}

export interface BilledLine {
  /** What it costs as it is told, with its own discount off. */
  toldMinor: number;
  /** Its share of the discount on the whole. */
  offMinor: number;
  /** Without taxes. */
  netMinor: number;
  /** By tax, in the order of the rules. */
  taxMinor: Record<string, number>;
  grossMinor: number;
}

export interface Bill {
  lines: BilledLine[];
  /** The discount on the whole, as it was told. */
  offMinor: number;
  netMinor: number;
  taxes: { id: string; label: string; per100k: number; baseMinor: number; taxMinor: number }[];
  grossMinor: number;
}

export interface WholeTerms {
  /** Off the whole, hundred-thousandths of it or an amount; never more than the whole. */
  off100k?: number;
  offMinor?: number;
  /** This customer pays no tax. */
  exempt?: boolean;
}

/**
 * What lines come to, with discounts and taxes. **It adds up however it is split**: the lines’ nets to the net, each tax over
 * the lines to the tax, net and taxes to the gross, for every line and for the whole.
 *
 * What the discount and each tax come to is rounded where the rules say (per line, or once over all), and then handed out to
 * the lines by largest remainders. An exempt customer pays the net, also where prices are told with taxes in them.
 * @throws RangeError for a discount above the whole, or a price below nought: what is given back is a document of its own
 */
export function billOf(lines: readonly BillLine[], rules: TaxRules, terms: WholeTerms = {}): Bill {
  const told = lines.map((l) => {
    if (l.eachMinor < 0 || l.thousandths < 0) throw new RangeError('A line is below nought.');
    const full = priceOf(l.thousandths, l.eachMinor, rules.rounding);
    return full - shareOf(full, l.off100k ?? 0, rules.rounding);
  });
  const whole = sum(told);
  const off = shareOf(whole, terms.off100k ?? 0, rules.rounding) + (terms.offMinor ?? 0);
  if (off > whole || off < 0) throw new RangeError('A discount is more than there is to pay.');
  const offs = splitBy(off, told);
  const due = told.map((t, i) => t - offs[i]!);
  const taxesOn = lines.map((l) => rules.taxes.filter((t) => t.on.includes(l.sort)));
  const reckoned = rules.included ? takenOut(due, taxesOn, rules) : putOn(due, taxesOn, rules);
  const billed = due.map((_, i): BilledLine => {
    const { net, taxes } = reckoned[i]!;
    const taxMinor = terms.exempt ? {} : taxes;
    return {
      toldMinor: told[i]!,
      offMinor: offs[i]!,
      netMinor: net,
      taxMinor,
      grossMinor: net + sum(Object.values(taxMinor)),
    };
  });
  return {
    lines: billed,
    offMinor: off,
    netMinor: sum(billed.map((l) => l.netMinor)),
    taxes: terms.exempt
      ? []
      : rules.taxes
          .filter((t) => taxesOn.some((on) => on.includes(t)))
          .map((t) => ({
            id: t.id,
            label: t.label,
            per100k: t.per100k,
            baseMinor: sum(billed.filter((_, i) => taxesOn[i]!.includes(t)).map((l) => l.netMinor)),
            taxMinor: sum(billed.map((l) => l.taxMinor[t.id] ?? 0)),
          })),
    grossMinor: sum(billed.map((l) => l.grossMinor)),
  };
}

interface Reckoned {
  net: number;
  taxes: Record<string, number>;
}

/** Taxes on top: each rounded once over all its lines and handed out, or line by line. */
function putOn(due: readonly number[], taxesOn: readonly (readonly Tax[])[], rules: TaxRules): Reckoned[] {
  const lines: Reckoned[] = due.map((net) => ({ net, taxes: {} }));
  for (const tax of rules.taxes) {
    const at = lines.flatMap((_, i) => (taxesOn[i]!.includes(tax) ? [i] : []));
    const bases = at.map((i) => due[i]!);
    const shares = rules.perLine
      ? bases.map((base) => shareOf(base, tax.per100k, rules.rounding))
      : splitBy(shareOf(sum(bases), tax.per100k, rules.rounding), bases);
    at.forEach((i, k) => (lines[i]!.taxes[tax.id] = shares[k]!));
  }
  return lines;
}

/** Taxes out of prices that hold them: lines with the same taxes are one sum, unless each is rounded by itself. */
function takenOut(due: readonly number[], taxesOn: readonly (readonly Tax[])[], rules: TaxRules): Reckoned[] {
  const groups = new Map<string, number[]>();
  due.forEach((_, i) => {
    const key = rules.perLine ? String(i) : taxesOn[i]!.map((t) => t.id).join(' ');
    groups.set(key, [...(groups.get(key) ?? []), i]);
  });
  const lines: Reckoned[] = due.map(() => ({ net: 0, taxes: {} }));
  for (const at of groups.values()) {
    const taxes = taxesOn[at[0]!]!;
    const rate = sum(taxes.map((t) => t.per100k));
    const grosses = at.map((i) => due[i]!);
    const gross = sum(grosses);
    const net = Number(divided(BigInt(gross) * BigInt(RATE_UNIT), BigInt(RATE_UNIT + rate), rules.rounding));
    const perTax = splitBy(
      gross - net,
      taxes.map((t) => t.per100k),
    );
    const nets = [...grosses];
    taxes.forEach((tax, k) => {
      splitBy(perTax[k]!, grosses).forEach((share, j) => {
        lines[at[j]!]!.taxes[tax.id] = share;
        nets[j]! -= share;
      });
    });
    at.forEach((i, j) => (lines[i]!.net = nets[j]!));
  }
  return lines;
}

const sum = (list: readonly number[]) => list.reduce((total, n) => total + n, 0);
