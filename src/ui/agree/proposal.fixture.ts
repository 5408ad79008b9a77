import { USUAL_CHARGES, NO_TAXES } from '@/core/money/terms';
import type { ProposalView } from '@/shop/agree/dto';

/** What is proposed for a belt that is gone, for tests. */
export function proposalFixture(more: Partial<ProposalView> = {}): ProposalView {
  const plain = { thousandths: 1000, off100k: 0, until: '', safety: false, code: null } as const;
  const must = {
    ...plain,
    group: 'must',
    fault: 'belt-broken',
    reason: 'Found: it will not work without it.',
  } as const;
  return {
    lines: [
      { ...must, id: 'do-belt-broken', sort: 'labour', label: 'New belt', minutes: 6, eachMinor: 0 },
      {
        ...must,
        id: 'part-belt-broken-belt',
        sort: 'part',
        label: 'Flat belt 10 × 300 mm',
        minutes: null,
        eachMinor: 450,
        code: 'FB-10-300',
      },
      {
        ...plain,
        id: 'way-must',
        group: 'must',
        sort: 'labour',
        label: 'Opened to get there',
        minutes: 9,
        eachMinor: 0,
        fault: null,
        reason: '',
      },
      {
        ...plain,
        id: 'do-bearing-rough',
        group: 'now',
        sort: 'labour',
        label: 'New bearings',
        minutes: 10,
        eachMinor: 0,
        fault: 'bearing-rough',
        reason: 'Open anyway.',
      },
      {
        ...plain,
        id: 'part-bearing-rough-bearing',
        group: 'now',
        sort: 'part',
        label: 'Ball bearing 608',
        minutes: null,
        eachMinor: 320,
        fault: 'bearing-rough',
        reason: 'Open anyway.',
      },
    ],
    extras: [],
    bundleWorthMinor: 0,
    wear: [
      {
        fault: 'suction-motor-worn',
        label: 'New motor',
        life: { shape: 2.5, scaleYears: 11 },
        ageYears: 8,
        thenMinor: 12_000,
      },
    ],
    doubt: null,
    machineAgeYears: 8,
    replacement: { newMinor: null, usedMinor: null },
    schools: [],
    ownersIdea: null,
    warrantyInForce: false,
    labourMinor: 6000,
    charges: USUAL_CHARGES,
    taxes: NO_TAXES,
    currency: 'USD',
    locale: 'en-US',
    exempt: false,
    readyOn: '2199-01-01',
    ...more,
  };
}
