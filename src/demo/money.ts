import type { Knex } from 'knex';
import { offersOf, type OfferLine, type OfferTerms } from '@/core/agree/offers';
import { billOf } from '@/core/money/bill';
import { labourTerms, USUAL_CHARGES } from '@/core/money/terms';
import { addDays } from '@/core/service/days';
import { faultById } from '@/knowledge';
import type { Person } from '@/shop/access/person';
import { makeEstimate } from '@/shop/agree/makeEstimate';
import { readProposal } from '@/shop/agree/readProposal';
import { recordAnswer } from '@/shop/agree/recordAnswer';
import type { RecordAnswerDto } from '@/shop/agree/dto';
import { issueDocument } from '@/shop/documents/issueDocument';
import { sendMessage } from '@/shop/mail/sendMessage';
import { sendWaiting } from '@/shop/mail/mailQueue';
import { openMailStandIn } from '@/shop/mail/mailStandIn';
import { takeIn } from '@/shop/takeIn/takeIn';
import { recordFindings } from '@/shop/recordFindings/recordFindings';
import { readJob } from '@/shop/odds/readJob';
import type { PaperContent } from '@/shop/papers/dto';
import { addPhotographs } from '@/shop/photographs/photographs';
import { drawnPhotograph } from './drawnPhotograph';

/** Where the demonstration’s simulated mail server listens. */
export const DEMO_MAIL_PORT = 43_125;

/** What the demonstration’s shop charges. Invented. */
export const DEMO_TERMS = {
  locale: 'en-US',
  labour_minor: 6600,
  charges: { diagnosisMinor: 1800, leastMinor: 2400, materialsMinor: 250, stepMinutes: 5 },
  taxes: {
    taxes: [{ id: 'tax-1', label: 'Harbour tax', per100k: 6250, on: ['part', 'material'] }],
    included: false,
    perLine: false,
    rounding: 'half-even',
  },
  letterhead: {
    address: '2 Net Loft Row\nOrrin Quay',
    phone: '555 0100',
    taxNumber: 'OQ 44 181',
    payDays: 14,
    footer: 'Saltmarsh Floorcare. Bench open from eight, Monday to Saturday.',
  },
  mail: {
    host: '127.0.0.1',
    port: DEMO_MAIL_PORT,
    tls: false,
    user: '',
    from: 'Saltmarsh Floorcare <bench@saltmarsh.example>',
    publicUrl: '',
  },
};

const TERMS: OfferTerms = {
  rules: DEMO_TERMS.taxes as OfferTerms['rules'],
  labour: labourTerms(
    DEMO_TERMS.labour_minor,
    { ...USUAL_CHARGES, ...DEMO_TERMS.charges },
    DEMO_TERMS.taxes as OfferTerms['rules'],
  ),
  leastMinor: DEMO_TERMS.charges.leastMinor,
  exempt: false,
  off100k: 0,
  offMinor: 0,
};

interface Past {
  id: number;
  closed_at: Date;
  tag: string;
  maker: string;
  model: string;
  serial: string;
  customer: string;
  address: string;
  kind: string;
  faults: string[];
  parts: { label: string; quantity: number; price_minor: number }[];
  person_id: number | null;
}

/** Invoices and payments of two years, from what was found and fitted then. @returns how many */
export async function writePastMoney(db: Knex, random: () => number): Promise<number> {
  const { rows } = await db.raw<{ rows: Past[] }>(
    `select job.id, job.closed_at, machine.tag, model.maker, model.name as model, machine.serial, customer.name as customer,
       customer.address, customer.kind, job.person_id,
       (select array_agg(fault) from confirmed_fault where job_id = job.id) as faults,
       (select coalesce(json_agg(json_build_object('label', part.label, 'quantity', f.quantity, 'price_minor', part.price_minor)), '[]')
        from fitted_part f join part on part.code = f.code where f.job_id = job.id) as parts
     from job join machine on machine.id = job.machine_id join model on model.id = machine.model_id
     join customer on customer.id = job.customer_id
     where job.closed_at is not null and job.ending = 'repaired' and exists (select from confirmed_fault where job_id = job.id)
     order by job.closed_at`,
  );
  const last = new Map<number, number>();
  for (const job of rows) {
    const day = job.closed_at.toISOString().slice(0, 10);
    const year = Number(day.slice(0, 4));
    const number = (last.get(year) ?? 0) + 1;
    last.set(year, number);
    const content = invoiceOf(job, day);
    const total = content.bill!.bill.grossMinor;
    const [{ id }] = await db('document')
      .insert({
        kind: 'invoice',
        year,
        number,
        job_id: job.id,
        content: JSON.stringify(content),
        total_minor: total,
        currency: 'USD',
        person_id: job.person_id,
        at: job.closed_at,
      })
      .returning('id');
    const how = job.kind === 'business' ? 'transfer' : random() < 0.6 ? 'card' : 'cash';
    await db('payment').insert({
      job_id: job.id,
      document_id: id,
      how,
      amount_minor: total,
      day,
      person_id: job.person_id,
      at: job.closed_at,
    });
  }
  for (const [year, number] of last) await db('document_number').insert({ kind: 'invoice', year, last: number });
  return rows.length;
}

function invoiceOf(job: Past, day: string): PaperContent {
  const plain = { group: 'must', off100k: 0, code: null, reason: '', until: '', safety: false } as const;
  const lines: OfferLine[] = [
    ...job.faults.map((fault): OfferLine => {
      const { repair } = faultById(fault)!;
      return {
        ...plain,
        id: fault,
        sort: 'labour',
        label: repair.label,
        minutes: repair.minutes + 8,
        thousandths: 1000,
        eachMinor: 0,
        fault,
      };
    }),
    ...job.parts.map((p, i): OfferLine => ({
      ...plain,
      id: `part-${i}`,
      sort: 'part',
      label: p.label,
      minutes: null,
      thousandths: 1000 * p.quantity,
      eachMinor: p.price_minor,
      fault: null,
    })),
  ];
  const [offer] = offersOf(lines, TERMS);
  const billed = offer!.lines;
  const bill = billOf(billed, TERMS.rules);
  const { payDays, ...head } = DEMO_TERMS.letterhead;
  return {
    kind: 'invoice',
    title: 'Invoice',
    shop: { name: 'Saltmarsh Floorcare', iban: '', bic: '', country: '', ...head },
    customer: { name: job.customer, address: job.address, business: job.kind === 'business', exempt: false },
    machine: { tag: job.tag, maker: job.maker, model: job.model, serial: job.serial },
    job: job.id,
    date: day,
    locale: 'en-US',
    currency: 'USD',
    said: [
      {
        title: 'We found',
        texts: [job.faults.map((f) => faultById(f)!.label).join('. ') + '.'],
      },
    ],
    columns: ['To pay'],
    groups: [
      {
        title: 'Must be done',
        rows: billed.map((l, i) => ({
          label: l.label,
          detail: l.minutes === null ? '' : `${l.minutes} min`,
          minor: [bill.lines[i]!.toldMinor],
        })),
      },
    ],
    totals: [
      { label: 'Net', minor: [bill.netMinor], strong: false },
      ...bill.taxes.map((t) => ({ label: `${t.label} ${t.per100k / 1000} %`, minor: [t.taxMinor], strong: false })),
      { label: 'To pay', minor: [bill.grossMinor], strong: true },
    ],
    terms: [`To be paid by ${addDays(day, payDays)}.`, 'We stand for our work for 90 days.'],
    signs: [],
    box: null,
    bill: { lines: billed, bill },
    pay: { dueOn: addDays(day, payDays), minor: bill.grossMinor, paidMinor: 0 },
  };
}

/** Offers and answers of every sort on the machines that stand here, by the shop’s own deeds. */
export async function writeAnswers(db: Knex, person: Person, today: string, key: () => string): Promise<void> {
  const base = async (job: number) => ({ key: key(), version: (await readJob(job)).version });
  const offer = async (job: number, usedMinor: number | null = null) => {
    const { lines, replacement, doubt } = await readProposal(job);
    await makeEstimate(person, job, {
      ...(await base(job)),
      lines: lines.map(({ safety: _, ...l }) => ({ ...l, eachMinor: l.eachMinor ?? 1500 })),
      off100k: 0,
      offMinor: 0,
      depositMinor: 0,
      readyOn: addDays(today, 4),
      warrantyDays: 90,
      // All of it takes longer, and is stood for longer.
      each: [{ offer: 'all', readyOn: addDays(today, 7), warrantyDays: 180 }],
      words: '',
      replacement: {
        ...replacement,
        ...(usedMinor === null ? {} : { usedMinor, newMinor: 3 * usedMinor }),
        doubtFault: doubt,
        doubtMonths: doubt === null ? null : 12,
      },
    });
  };
  const answer = async (job: number, more: Partial<RecordAnswerDto>) =>
    recordAnswer(person, job, {
      ...(await base(job)),
      says: 'yes',
      way: 'phone',
      who: 'The owner',
      words: '',
      ...more,
    });
  const rows = await db('job').whereNull('closed_at').orderBy('id').select('id', 'stage', 'visit', 'place');
  for (const { id, stage, place } of rows.filter((r) => r.stage !== 'find' && r.visit === '')) {
    // What is in hand was agreed; the work stands where it stood.
    const { waits, proved } = await readJob(id);
    if (proved.length === 0 || waits.some((w) => w.endedAt === null)) await answer(id, { words: 'Do it, please.' });
    else {
      await offer(id);
      const { offers } = (await readJob(id)).agree.estimate!;
      // Where the way back has begun nothing more is agreed than what was done.
      const isOpen = stage === 'strip';
      const taken = (isOpen ? offers.findLast((o) => o.id !== 'all') : undefined) ?? offers[0]!;
      await answer(id, {
        offer: taken.id,
        words: isOpen ? 'Yes, and while it is open do the rest.' : 'Only what must be done.',
        ...(taken.unsafe.length > 0 ? { signed: 'The owner' } : {}),
      });
    }
    await db('job').where({ id }).update({ stage, place });
  }
  const found = async (said: Said, findings: Finding[]): Promise<number> => {
    const model = (await db('model').where({ kind: said.kind }).orderBy('id').first('id'))!;
    const { job } = await takeIn(person, {
      key: key(),
      newMachine: { modelId: model.id, serial: said.serial, madeYear: said.madeYear, pets: true, hoursPerWeek: 2 },
      newCustomer: {
        name: said.owner,
        kind: 'household',
        phone: said.phone,
        email: said.email,
        address: '',
        standing: '',
      },
      words: said.words,
      complaints: [said.complaint],
      arrivalSigns: [],
      openedBefore: false,
      promisedOn: addDays(today, 5),
      ...(said.idea ? { customerDiagnosis: said.idea } : {}),
    });
    for (const finding of findings) await recordFindings(person, job, { ...(await base(job)), findings: [finding] });
    return job;
  };
  const nozzle = await found(
    {
      kind: 'canister-power-nozzle',
      owner: 'Sunniva Brack',
      phone: '555 0311',
      email: 'sunniva@harbour.example',
      serial: 'C771204',
      madeYear: Number(today.slice(0, 4)) - 11,
      words: 'It needs a belt, the brush does not turn.',
      complaint: 'roll-not-turning',
      idea: 'belt-broken',
    },
    [
      { check: 'sole-plate-look', outcome: 'roll-mildewed' },
      { check: 'bearing-feel', outcome: 'bearing-rough' },
      { check: 'exhaust-filter-look', outcome: 'exhaust-clogged' },
      { check: 'armature-sound', outcome: 'armature-harsh' },
    ],
  );
  // It was no belt: that is seen better than said.
  const seen: [fault: string, caption: string, colour: string][] = [
    ['roll-mouldy', 'mould on the strips', '#6a7350'],
    ['bearing-rough', 'rust in the bearing', '#7a4a2e'],
  ];
  for (const [fault, caption, colour] of seen)
    await addPhotographs(person, nozzle, {
      ...(await base(nozzle)),
      photographs: [await drawnPhotograph(person, caption, colour)],
      caption,
      shows: `fault:${fault}`,
    });
  await offer(nozzle, 9500);
  await issueDocument(person, nozzle, { ...(await base(nozzle)), kind: 'estimate' });
  await sendMessage(person, nozzle, {
    ...(await base(nozzle)),
    to: 'sunniva@harbour.example',
    subject: 'Your canister on our bench',
    words: 'We have looked at it: it is not the belt. Please tell us what you want done:',
    withLink: true,
  });
  const drive = await found(
    {
      kind: 'upright-self-propelled',
      owner: 'Tobit Farrow',
      phone: '555 0312',
      email: '',
      serial: 'S118043',
      madeYear: Number(today.slice(0, 4)) - 9,
      words: 'Hard to push and it clicks.',
      complaint: 'hard-to-push',
    },
    [{ check: 'transmission-look', outcome: 'gears-worn' }],
  );
  await offer(drive);
  await answer(drive, {
    says: 'ask-again',
    askOn: addDays(today, 2),
    who: 'Tobit Farrow',
    words: 'I must ask at home.',
  });
  const tilt = await found(
    {
      kind: 'upright-brush-motor',
      owner: 'Wilmot Sarn',
      phone: '555 0313',
      email: '',
      serial: 'B440917',
      madeYear: Number(today.slice(0, 4)) - 6,
      words: 'The brush is dead, do not spend much.',
      complaint: 'roll-not-turning',
    },
    [{ check: 'tilt-switch-ohms', condition: 'leaned-back', value: 1e9, unit: 'Ω' }],
  );
  await answer(tilt, {
    says: 'limit',
    limitMinor: 6000,
    way: 'counter',
    who: 'Wilmot Sarn',
    words: 'Up to sixty, just do it.',
  });
  const standIn = await openMailStandIn(DEMO_MAIL_PORT);
  await sendWaiting(db);
  await standIn.close();
}

type Finding = { check: string; outcome?: string; condition?: string; value?: number; unit?: string };

interface Said {
  kind: string;
  owner: string;
  phone: string;
  email: string;
  serial: string;
  madeYear: number;
  words: string;
  complaint: string;
  idea?: string;
}
