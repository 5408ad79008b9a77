import { cautionsInForce } from '@/core/diagnosis/benchState';
import { compileKind } from '@/core/diagnosis/compileKind';
import { forecastsOf } from '@/core/diagnosis/forecastsOf';
import type { ProofAsk } from '@/shop/jobView/dto';
import { proofItems } from '@/shop/jobView/proofItems';
import type { Knex } from 'knex';
import { seededRandom } from '@/core/diagnosis/seededRandom';
import { addDays } from '@/core/service/days';
import { warrantyUntil } from '@/core/service/warranty';
import { insertPerson, personBySignIn } from '@/data/people';
import { insertApiToken } from '@/data/tokens';
import { refreshCustomerSearch } from '@/data/customers';
import { insertShop } from '@/data/shopSettings';
import { holdsBackPower, kindById, knowledge } from '@/knowledge';
import type { Change } from '@/core/strip/changed';
import { insertProcedure } from '@/data/strip';
import { insertPartSizes } from '@/data/gauges';
import { shippedParts } from '@/knowledge/parts';
import { newToken, tokenHash } from '@/shop/access/secrets';
import { hashPassphrase } from '@/shop/access/passphrases';
import { dayInZone } from '@/shop/settings/day';
import { writeInstruments } from './instruments';
import { DEMO_TERMS, writeAnswers, writePastMoney } from './money';
import * as names from './names';
import { writeOpenJobs } from './openJobs';
import { pressesOf } from './stripTimes';
import { writeServices, type PastVisit } from './services';
import { simulateJob } from './simulateJob';

export const DEMO_SIGN_IN = 'demo';
export const DEMO_PASSPHRASE = 'salt marsh bench';
const SEED = 1872;
const ZONE = 'UTC';
const MAINS_V = 120;
const HOUSEHOLDS = 38;
const MACHINES = 96;
const PAST_JOBS = 318;
const DAY = 86_400_000;

/** The demonstration shop: made once, from a seed, relative to today. @returns null when it is there already */
export async function writeDemoShop(db: Knex) {
  if (await db('shop').first()) return null;
  const random = seededRandom(SEED);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const today = dayInZone(new Date(), ZONE);
  const people = await writePeople(db);
  await insertShop(db, {
    name: 'Saltmarsh Floorcare',
    zone: ZONE,
    mains_v: MAINS_V,
    currency: 'USD',
    paper: 'A4',
    ...DEMO_TERMS,
  });
  await writeParts(db, random);

  const customers = await db('customer')
    .insert([
      ...names.businesses.map((b, i) => ({
        kind: 'business',
        name: b.name,
        phone: `555 01${String(i).padStart(2, '0')}`,
        address: `${1 + i} ${pick(names.streets)}`,
        standing: names.standing[b.name] ?? '',
      })),
      ...Array.from({ length: HOUSEHOLDS }, (_, i) => ({
        kind: 'household',
        name: `${names.firstNames[(i * 7) % names.firstNames.length]} ${names.lastNames[(i * 5) % names.lastNames.length]}`,
        phone: `555 02${String(i).padStart(2, '0')}`,
        address: `${1 + Math.floor(random() * 60)} ${pick(names.streets)}`,
      })),
    ])
    .returning(['id', 'kind', 'name']);
  const models = await db('model')
    .insert(
      names.models.map((m) => ({
        maker: m.maker,
        name: m.name,
        kind: m.kind,
        mains_v: MAINS_V,
        dropped_stations: m.dropped,
        ...('belts' in m ? { belts: m.belts, bearings: m.bearings, filters: m.filters } : {}),
      })),
    )
    .returning<Model[]>(['id', 'kind', 'dropped_stations', 'mains_v']);
  const rarer = await db('model')
    .insert(
      names.rarerModels.map((m) => ({
        maker: m.maker,
        name: m.name,
        kind: m.kind,
        mains_v: m.volts ?? MAINS_V,
        dropped_stations: [],
        ...(m.kind === 'scrubber-ride-on' ? { sealed_battery: true } : {}),
      })),
    )
    .returning<Model[]>(['id', 'kind', 'dropped_stations', 'mains_v']);

  const thisYear = Number(today.slice(0, 4));
  const machines = await db('machine')
    .insert(
      Array.from({ length: MACHINES + 2 * rarer.length }, (_, i) => {
        const ownModel = i < MACHINES ? null : rarer[i % rarer.length]!;
        // Nobody has a scrubber at home.
        const isTrade = i < 30 || ownModel?.kind.startsWith('scrubber') === true;
        const customer = isTrade
          ? customers[i % names.businesses.length]!
          : customers[names.businesses.length + (i % HOUSEHOLDS)]!;
        const business = names.businesses.find((b) => b.name === customer.name);
        return {
          tag: `GK-${String(i + 1).padStart(4, '0')}`,
          model_id: ownModel ? ownModel.id : pick(models).id,
          customer_id: customer.id,
          serial: `${String.fromCharCode(65 + (i % 20))}${100000 + Math.floor(random() * 899999)}`,
          made_year: thisYear - 1 - Math.floor(random() * 11),
          note: i % 17 === 3 ? names.machineNotes[i % names.machineNotes.length] : '',
          pets: business ? business.name.includes('kennel') : random() < 0.4,
          hours_per_week: business ? business.hours : Math.round((0.8 + random() * 2.4) * 10) / 10,
        };
      }),
    )
    .returning(['id', 'model_id', 'customer_id', 'made_year', 'pets', 'hours_per_week']);

  const customerKind = new Map(customers.map((c) => [c.id, c.kind as string]));
  const modelOf = new Map([...models, ...rarer].map((m) => [m.id, m]));
  // Past jobs, oldest first, over two years, none in the last two weeks (those are the open ones' days).
  const days = Array.from({ length: PAST_JOBS }, () => 15 + Math.floor(random() * 716)).sort((a, b) => b - a);
  const batch = new Batch();
  const addPast = (machine: Machine, start: Date) => {
    const model = modelOf.get(machine.model_id)!;
    const age = ageAt(machine, start);
    const kind = kindById(model.kind);
    const job = simulateJob(random, kind, model.mains_v, age, model.dropped_stations);
    batch.add({
      job,
      machine,
      start,
      closed: new Date(start.getTime() + (1 + Math.floor(random() * 5)) * DAY),
      person: pick(people),
      random,
      pick,
      kind,
      mainsV: model.mains_v,
    });
  };
  for (const [i, daysAgo] of days.entries()) {
    const machine = i < MACHINES - 6 ? machines[i]! : pick(machines.slice(0, MACHINES - 6));
    const day = Date.parse(`${addDays(today, -daysAgo)}T08:30:00Z`);
    addPast(machine, new Date(day + Math.floor(random() * 6 * 3_600_000)));
  }
  // Every machine of the rarer kinds was here once, some time in the last year.
  for (const [i, machine] of machines.slice(MACHINES).entries()) {
    const start = new Date(`${addDays(today, -16 - ((i * 11) % 340))}T09:10:00Z`);
    addPast(machine, start);
  }
  await batch.write(db);
  await db.raw(
    `insert into job_tally (kind, model_id, jobs) select model.kind, model.id, count(*) from job join machine on machine.id = job.machine_id join model on model.id = machine.model_id group by 1, 2`,
  );
  await db.raw(
    `insert into fault_tally (kind, model_id, fault, confirmed) select model.kind, model.id, fault, count(*) from confirmed_fault join job on job.id = job_id join machine on machine.id = job.machine_id join model on model.id = machine.model_id group by 1, 2, 3`,
  );
  await writeBook(db, machines, customers, people, today, random);
  await writeServices(db, {
    machines: machines.map((m) => ({
      ...m,
      ...modelOf.get(m.model_id)!,
      id: m.id,
      trade: customerKind.get(m.customer_id) === 'business',
      seen: batch.lastClosed.get(m.id) ?? [],
    })),
    today,
    person: people[1]!,
    random,
  });
  for (const c of customers) await refreshCustomerSearch(db, c.id);
  await writeProcedures(db, models, people[0]!);
  const open = await writeOpenJobs(db, {
    people,
    machines: machines.filter((m, i) => i < MACHINES || modelOf.get(m.model_id)!.kind.startsWith('scrubber')),
    models: [...models, ...rarer],
    today,
    random,
  });
  await writePastMoney(db, random);
  const owner = { id: people[0]!, name: 'Wren Ostrey', role: 'owner' } as const;
  const hex = () => Math.floor(random() * 16).toString(16);
  await writeInstruments(db, today);
  await writeAnswers(db, owner, today, () => 'xxxxxxxx-xxxx-4xxx-8xxx-xxxxxxxxxxxx'.replace(/x/g, hex));
  return { customers: customers.length, machines: machines.length, jobs: days.length + 2 * rarer.length, open };
}

/** Three models that are not as their kind: what the shop has written down for them. */
async function writeProcedures(db: Knex, models: { id: number; kind: string }[], person: number): Promise<void> {
  const differ: [kind: string, nth: number, Change[]][] = [
    [
      'upright-shaft-belt',
      0,
      [
        { sort: 'note', step: 'plate-screws', text: 'One long screw sits under the right rear wheel.' },
        { sort: 'drop', step: 'knob-off' },
      ],
    ],
    [
      'upright-shaft-belt',
      1,
      [
        {
          sort: 'add',
          step: 'own-badge',
          after: 'knob-off',
          label: 'Badge at the nose pried off: a screw is under it',
          lie: 'back',
          tool: 'pry',
          minutes: 0.4,
          back: 'Badge pressed on',
          backMinutes: 0.3,
        },
      ],
    ],
    [
      'upright-brush-motor',
      0,
      [
        {
          sort: 'fasteners',
          step: 'head-screws',
          fasteners: [
            { count: 8, what: 'screw', drive: 't15', length: 'medium', where: 'round the head' },
            { count: 1, what: 'screw', drive: 't15', length: 'long', hidden: true, where: 'behind the sole plate' },
          ],
        },
        { sort: 'note', step: 'head-lift', text: 'The lamp’s wire is short: plug off before it is lifted.' },
      ],
    ],
  ];
  for (const [kind, nth, changes] of differ) {
    const model = models.filter((m) => m.kind === kind)[nth];
    if (model) await insertProcedure(db, model.id, changes, 'As we found it.', person);
  }
}

/** What a book holds besides jobs: who bought what when, sites, contacts, hour meters, who came back too soon. */
async function writeBook(
  db: Knex,
  machines: Machine[],
  customers: { id: number; kind: string; name: string }[],
  people: number[],
  today: string,
  random: () => number,
): Promise<void> {
  for (const c of customers) {
    const sites = names.sites[c.name] ?? [];
    if (sites.length > 0) {
      const rows = await db('site')
        .insert(sites.map((s) => ({ customer_id: c.id, ...s })))
        .returning('id');
      const own = machines.filter((m) => m.customer_id === c.id);
      for (const [i, m] of own.entries())
        await db('machine')
          .where({ id: m.id })
          .update({ site_id: rows[i % rows.length]!.id });
    }
    const contacts = names.contacts[c.name] ?? [];
    if (contacts.length > 0) await db('contact').insert(contacts.map((k) => ({ customer_id: c.id, ...k })));
  }
  const thisYear = Number(today.slice(0, 4));
  for (const m of machines.filter((x) => thisYear - x.made_year <= 3)) {
    const purchased = addDays(`${m.made_year}-06-15`, Math.floor(random() * 300));
    if (purchased >= today) continue;
    await db('machine')
      .where({ id: m.id })
      .update({ purchased_on: purchased, warranty_until: warrantyUntil(purchased, 24) });
  }
  await db.raw(
    `insert into meter_reading (machine_id, job_id, hours, at, person_id)
     select machine.id, job.id,
       round(((extract(epoch from job.taken_in_at) - extract(epoch from make_date(machine.made_year, 7, 1))) / 604800 * machine.hours_per_week)::numeric, 1),
       job.taken_in_at, ?
     from job join machine on machine.id = job.machine_id
     where machine.hours_per_week >= 6 and job.taken_in_at > make_date(machine.made_year, 7, 1)`,
    [people[1]!],
  );
  await db.raw(
    `update job set comeback_of = before.id
     from job before
     where before.machine_id = job.machine_id and before.id <> job.id
       and before.closed_at between job.taken_in_at - interval '90 days' and job.taken_in_at
       and exists (select 1 from job_complaint a join job_complaint b on b.complaint = a.complaint
         where a.job_id = job.id and b.job_id = before.id)
       and not exists (select 1 from job later where later.machine_id = job.machine_id and later.id not in (job.id, before.id)
         and later.closed_at between before.closed_at and job.taken_in_at)`,
  );
}

async function writePeople(db: Knex): Promise<number[]> {
  const passphrase_hash = await hashPassphrase(DEMO_PASSPHRASE);
  return [
    await insertPerson(db, { sign_in: DEMO_SIGN_IN, name: 'Wren Ostrey', role: 'owner', passphrase_hash }),
    await insertPerson(db, { sign_in: 'jory', name: 'Jory Thrale', role: 'technician', passphrase_hash }),
    await insertPerson(db, { sign_in: 'mab', name: 'Mab Corrin', role: 'counter', passphrase_hash }),
  ];
}

async function writeParts(db: Knex, random: () => number): Promise<void> {
  await db('part').insert(
    shippedParts.map((p) => ({
      code: p.code,
      label: p.label,
      part_group: p.group,
      price_minor: p.priceMinor,
      stock: Math.floor(random() * 9),
    })),
  );
  await insertPartSizes(
    db,
    shippedParts.flatMap((p) => Object.entries(p.sizesMm ?? {}).map(([name, mm]) => ({ code: p.code, name, mm }))),
  );
  await db('part_station').insert(
    shippedParts.flatMap((p) =>
      Object.entries(p.stations).flatMap(([kind, stations]) =>
        stations.map((station) => ({ code: p.code, kind, station })),
      ),
    ),
  );
}

/** A new token for the demonstration's owner, in place of the last. */
export async function freshDemoToken(db: Knex): Promise<string> {
  const person = (await personBySignIn(db, DEMO_SIGN_IN))!;
  const token = newToken();
  await db('api_token').where({ person_id: person.id, label: 'demo' }).delete();
  await insertApiToken(db, person.id, 'demo', tokenHash(token));
  return token;
}

type Model = { id: number; kind: string; dropped_stations: string[]; mains_v: number };

type Machine = {
  id: number;
  model_id: number;
  customer_id: number;
  made_year: number;
  pets: boolean;
  hours_per_week: number;
};

const ageAt = (machine: Machine, start: Date) => Math.max(0, start.getUTCFullYear() - machine.made_year);

interface PastJob {
  job: ReturnType<typeof simulateJob>;
  machine: Machine;
  start: Date;
  closed: Date;
  person: number;
  random: () => number;
  pick: <T>(list: readonly T[]) => T;
  kind: ReturnType<typeof kindById>;
  mainsV: number;
}

/** Past jobs gathered and written table by table: three hundred jobs in a second. */
class Batch {
  private readonly jobs: PastJob[] = [];
  readonly lastClosed = new Map<number, PastVisit[]>();

  add(job: PastJob): void {
    this.jobs.push(job);
    const list = this.lastClosed.get(job.machine.id) ?? [];
    list.push({
      on: job.closed.toISOString().slice(0, 10),
      stations: new Set(job.job.parts.map((p) => p.station)),
      faults: new Set(job.job.faults.map((f) => f.id)),
    });
    this.lastClosed.set(job.machine.id, list);
  }

  async write(db: Knex): Promise<void> {
    const rows = this.jobs.map(({ job, machine, start, closed, person, pick, random }) => {
      const said = job.complaints.map((c) => names.sayings[c]).find(Boolean);
      return {
        machine_id: machine.id,
        customer_id: machine.customer_id,
        stage: 'closed',
        place: 'door-shelf',
        words: said ? pick(said) : '',
        ending: 'repaired',
        customer_diagnosis: random() < 0.3 ? (random() < 0.5 ? job.faults[0]!.id : 'belt-broken') : null,
        promised_on: new Date(start.getTime() + 4 * DAY).toISOString().slice(0, 10),
        taken_in_at: start,
        taken_in_by: person,
        closed_at: closed,
        advice: pick(names.advice),
      };
    });
    const ids = await db('job').insert(rows).returning<{ id: number }[]>('id');
    const each = <T>(make: (job: PastJob, id: number, i: number) => T[]) =>
      this.jobs.flatMap((job, i) => make(job, ids[i]!.id, i));
    const insert = (table: string, made: object[]) => db.batchInsert(table, made, 500);
    await insert(
      'job_complaint',
      each(({ job }, id) => job.complaints.map((complaint) => ({ job_id: id, complaint }))),
    );
    await insert(
      'finding',
      each(({ job, start, person }, id) =>
        job.findings.map((f, k) => ({
          job_id: id,
          check_id: f.check,
          outcome: f.outcome ?? null,
          value: f.value ?? null,
          unit: f.unit ?? null,
          condition: f.condition ?? null,
          person_id: person,
          at: new Date(start.getTime() + (k + 1) * 600_000),
        })),
      ),
    );
    await insert(
      'fitted_part',
      each(({ job, closed, person, machine }, id) =>
        job.parts.map((p) => ({
          job_id: id,
          machine_id: machine.id,
          code: p.code,
          station: p.station,
          person_id: person,
          at: new Date(closed.getTime() - 7_200_000),
        })),
      ),
    );
    await insert(
      'confirmed_fault',
      each(({ job }, id) => job.faults.map((f) => ({ job_id: id, fault: f.id }))),
    );
    await insert(
      'repair_done',
      each(({ job, closed, person }, id) =>
        job.faults.map((f) => ({
          job_id: id,
          fault: f.id,
          person_id: person,
          at: new Date(closed.getTime() - 2 * 3_600_000),
        })),
      ),
    );
    // Nothing is proved under a hold: what held back power was made safe by name before.
    await insert(
      'cleared_caution',
      each(({ job, closed, person, kind, machine, start, mainsV }, id) => {
        const compiled = compileKind(knowledge, kind, { ageYears: ageAt(machine, start) });
        const answers = job.findings.flatMap((f) => (f.outcome ? [{ check: f.check, outcome: f.outcome }] : []));
        return cautionsInForce(compiled, { kind, mainsV, complaints: job.complaints, answers })
          .filter(holdsBackPower)
          .map((caution) => ({
            job_id: id,
            caution,
            cleared_by: person,
            how: `Cause found and mended: ${job.faults.map((f) => f.label.toLowerCase()).join(', ')}.`,
            at: new Date(closed.getTime() - 1.5 * 3_600_000),
          }));
      }),
    );
    await insert(
      'strip_step',
      each(({ job, closed, person, kind, random }, id) =>
        pressesOf(
          kind,
          job.faults.map((f) => f.id),
          new Date(closed.getTime() - 3 * 3_600_000),
          random,
        ).map((p) => ({
          job_id: id,
          state: 'done',
          person_id: person,
          ...p,
        })),
      ),
    );
    await insert(
      'forecast',
      each(({ job, machine, kind, closed, start, mainsV }, id) =>
        forecastsOf(
          knowledge,
          {
            kind,
            mainsV,
            complaints: job.complaints,
            answers: job.findings.flatMap((f) => (f.outcome ? [{ check: f.check, outcome: f.outcome }] : [])),
            ageYears: ageAt(machine, start),
          },
          job.faults.map((f) => f.id),
        ).map((row) => ({ job_id: id, ...row, at: closed })),
      ),
    );
    await insert(
      'proof',
      each((job, id) => proofs(job, id)),
    );
    await insert(
      'timeline',
      each((job, id, i) => story(job, id, rows[i]!.words)),
    );
  }
}

/** What the demonstration's electrical checks say: invented. */
function signed(random: () => number): Record<ProofAsk, string> {
  return {
    rules: 'Local rules in force',
    readings: `Insulation ${Math.round(20 + 180 * random())} MΩ, touch current ${(0.02 + 0.1 * random()).toFixed(2)} mA`,
    tester: 'Wren Ostrey',
  };
}

function proofs({ job, kind, closed, person, random }: PastJob, jobId: number) {
  const at = new Date(closed.getTime() - 3_600_000);
  const row = (item: string, more: object = {}) => ({
    job_id: jobId,
    item,
    result: 'pass',
    person_id: person,
    at,
    before_value: null as number | null,
    after_value: null as number | null,
    unit: null as string | null,
    details: {},
    ...more,
  });
  const items = proofItems(kind, job.complaints, new Set(job.faults.map((f) => f.id)));
  const measured = (id: string) => items.some((i) => i.id === id);
  const slow = measured('roll-speed') && job.complaints.some((c) => c.startsWith('roll'));
  const weak = measured('sealed-vacuum') && job.complaints.some((c) => c.includes('suction') || c.includes('minutes'));
  const about = (x: number, spread: number) => x * (1 + spread * (random() - 0.5));
  return [
    ...items.filter((i) => i.required).map((i) => row(i.id, i.asks.length > 0 ? { details: signed(random) } : {})),
    ...(slow
      ? [
          row('roll-speed', {
            before_value: Math.round(about(kind.rollRpm * 0.5, 0.6)),
            after_value: Math.round(about(kind.rollRpm, 0.08)),
            unit: 'r/min',
          }),
        ]
      : []),
    ...(weak
      ? [
          row('sealed-vacuum', {
            before_value: Number(about(kind.healthyVacuumKpa * 0.55, 0.5).toFixed(1)),
            after_value: Number(about(kind.healthyVacuumKpa, 0.1).toFixed(1)),
            unit: 'kPa',
          }),
        ]
      : []),
  ];
}

function story({ job, machine, start, closed, person }: PastJob, jobId: number, words: string) {
  const complaint = (id: string) => knowledge.complaints.find((c) => c.id === id)!.label;
  const line = (what: string, text: string, at: Date) => ({
    machine_id: machine.id,
    job_id: jobId,
    what,
    text,
    person_id: person,
    at,
  });
  return [
    line(
      'taken-in',
      `${job.complaints.map(complaint).join(', ')}${words ? `. In the customer’s words: “${words}”` : ''}`,
      start,
    ),
    line('found', job.faults.map((f) => f.label).join(', '), new Date(start.getTime() + 3_600_000)),
    ...job.parts.map((p, i) =>
      line(
        'fitted',
        shippedParts.find((s) => s.code === p.code)!.label,
        new Date(closed.getTime() - 7_200_000 + i * 60_000),
      ),
    ),
    line('handed-back', `Handed back. Found: ${job.faults.map((f) => f.label).join(', ')}.`, closed),
  ];
}
