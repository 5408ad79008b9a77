import { addDays } from '@/core/service/days';
import { careSheet } from '../careSheet/careSheet';
import { issueDocument } from '../documents/issueDocument';
import { paperOf } from '../documents/readDocument';
import { fitPart } from '../fitPart/fitPart';
import { handBack } from '../handBack/handBack';
import { moveStage } from '../moveStage/moveStage';
import { readJob } from '../odds/readJob';
import { recordFindings } from '../recordFindings/recordFindings';
import { agreeTo, base, newJobDto, openJob, refusal, testShop, toHandBack } from '../scene.fixture';
import { takeIn } from '../takeIn/takeIn';
import { serveItem } from '../serveItem/serveItem';
import { stripStep } from '../stripStep/stripStep';
import { bridge } from './bridge';
import { chooseSchools } from './chooseSchools';
import type { MakeEstimateDto, ProposalView } from './dto';
import { makeEstimate } from './makeEstimate';
import { readProposal } from './readProposal';
import { recordAnswer } from './recordAnswer';
import { revokeFinding } from '../revokeFinding/revokeFinding';

const shop = testShop();
const K1 = 'upright-shaft-belt';
const K2 = 'upright-brush-motor';
const today = new Date().toISOString().slice(0, 10);

const K3 = 'upright-clutch';
const K6 = 'upright-auto';
const models: Record<string, number> = {};

beforeAll(async () => {
  await shop.db('shop').update({ labour_minor: 6000 });
  Object.assign(models, shop.models);
  for (const kind of [K3, K6]) {
    const model = { maker: 'Hollin', name: kind, kind, mains_v: 120, dropped_stations: [] };
    models[kind] = (await shop.db('model').insert(model).returning('id'))[0].id;
  }
});

/** Has items of the service of a job's machine done last in 2020, and due in April of that year. */
async function late(job: number, ...items: string[]) {
  const { machine_id } = await shop.db('job').where({ id: job }).first('machine_id');
  const due = items.map((item) => ({ machine_id, item, last_done_on: '2020-01-01', due_on: '2020-04-01' }));
  await shop.db('plan').insert(due).onConflict(['machine_id', 'item']).merge();
}

/** A job with causes proved by looks. */
async function found(kind: string, findings: { check: string; outcome: string }[], complaints = ['roll-not-turning']) {
  const job = await openJob(shop.person, models[kind]!, complaints);
  await recordFindings(shop.person, job, { ...(await base(job)), findings });
  return job;
}
const beltGone = () => found(K1, [{ check: 'sole-plate-look', outcome: 'belt-missing' }]);
const priced = (p: ProposalView): MakeEstimateDto['lines'] =>
  p.lines.map((l) => ({ ...l, eachMinor: l.eachMinor ?? 100 }));
const estimateOf = async (job: number, more: Partial<MakeEstimateDto> = {}): Promise<MakeEstimateDto> => ({
  ...(await base(job)),
  lines: priced(await readProposal(job)),
  off100k: 0,
  offMinor: 0,
  depositMinor: 0,
  readyOn: '2199-01-01',
  warrantyDays: 90,
  words: '',
  replacement: { newMinor: null, usedMinor: null, doubtFault: null, doubtMonths: null },
  ...more,
});
const offer = async (job: number, more: Partial<MakeEstimateDto> = {}) =>
  makeEstimate(shop.person, job, await estimateOf(job, more));
const agree = async (job: number) => (await readJob(job)).agree;

describe('what is proposed', () => {
  // Walk 3: the clutch as a whole, with its belts.
  test('a clutch is offered with the first belt and the second', async () => {
    const job = await found(
      K3,
      [
        { check: 'finger-turn', outcome: 'normal-drag' },
        { check: 'second-belt-and-clutch', outcome: 'pulley-melted' },
      ],
      ['roll-slow'],
    );
    const parts = (await readProposal(job)).lines.filter((l) => l.sort === 'part' && l.group === 'must');
    expect(parts.map((l) => l.code).sort()).toEqual(['CL-PULL', 'FB-PRIM', 'TB-3-270']);
    expect(new Set(parts.map((l) => l.id)).size).toBe(3);
  });

  test('a part that its service is late with is not said to have time', async () => {
    const job = await found(K2, [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'tilt-switch-ohms', outcome: 'tilt-open' },
    ]);
    const exhaust = async () =>
      (await readProposal(job)).lines.filter((l) => l.fault === 'exhaust-filter-clogged' && l.sort === 'labour');
    const { machine_id } = await shop.db('job').where({ id: job }).first('machine_id');
    await shop
      .db('machine')
      .where({ id: machine_id })
      .update({ made_year: new Date().getFullYear() - 2 });
    const [before] = await exhaust();
    expect([before!.group, before!.until]).toEqual(['wait', expect.stringMatching(/^\d{4}-\d{2}$/)]);
    const late = { machine_id, item: 'exhaust-filter', last_done_on: '2020-01-01', due_on: '2021-01-01' };
    await shop.db('plan').insert(late).onConflict(['machine_id', 'item']).merge();
    const [line, ...more] = await exhaust();
    expect([line!.until, more]).toEqual(['', []]);
    expect(line!.reason).toMatch(/^Service past due since 2021-01-01\. /);
  });

  test('what the service is past due with is offered while the machine is open, and agreed it is work to be done', async () => {
    const job = await found(K2, [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'tilt-switch-ohms', outcome: 'tilt-open' },
    ]);
    const due = async () => (await readProposal(job)).lines.filter((l) => l.reason.startsWith('Service past due'));
    expect(await due()).toEqual([]);
    await late(job, 'pre-filter-wash', 'roll-hair', 'neck-hose-look', 'bristles');
    const lines = await due();
    expect(lines.map((l) => l.group).filter((g) => g !== 'now' && g !== 'wait')).toEqual([]);
    // What is done now needs no way but the one that is gone for what must be done; what waits has its own, once.
    const { lines: offered } = await readProposal(job);
    expect(offered.some((o) => o.group === 'wait' && o.label.startsWith('Opened for it'))).toBe(true);
    expect(lines.find((l) => l.fault === 'filter-dirty')!.group).toBe('wait');
    // A look that is due sells no hose, and sets nothing that was not measured.
    expect(new Set(lines.map((l) => l.fault))).toEqual(new Set(['filter-dirty', 'roll-bound-by-hair']));
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'filter-look', outcome: 'filter-clean' }],
    });
    // Seen clean today.
    expect((await due()).map((l) => l.fault)).toEqual(['roll-bound-by-hair']);
    const takeBackFilter = async () =>
      revokeFinding(shop.person, job, {
        ...(await base(job)),
        finding: (await readJob(job)).findings.find((f) => f.check === 'filter-look' && !f.revoked)!.id,
      });
    await takeBackFilter();
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'filter-look', outcome: 'filter-caked' }],
    });
    // What was found asks for the same work: nobody washes a filter twice.
    expect((await due()).map((l) => l.fault)).toEqual(['roll-bound-by-hair']);
    expect((await readProposal(job)).lines.map((l) => l.fault)).toContain('filter-clogged');
    await takeBackFilter();
    await offer(job);
    await agreeTo(shop.person, job, { offer: 'all' });
    const facts = await readJob(job);
    expect(facts.toMend).toEqual(expect.arrayContaining(['tilt-switch-failed', 'filter-dirty', 'roll-bound-by-hair']));
  });

  test('a filter that is past its year goes in new instead of being washed', async () => {
    const job = await found(K2, [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'tilt-switch-ohms', outcome: 'tilt-open' },
    ]);
    const ofFilter = async () =>
      (await readProposal(job)).lines.filter(
        (l) => /pre-filter|-filter-(dirty|clogged)/.test(l.id) && !l.id.includes('exhaust'),
      );
    await late(job, 'pre-filter-wash');
    // Its year is not over: it is washed, and no new one is offered beside that.
    expect((await ofFilter()).map((l) => l.id)).toEqual(['do-filter-dirty']);
    await late(job, 'pre-filter-new');
    const lines = await ofFilter();
    expect(lines.filter((l) => l.sort === 'part').map((l) => l.label)).toEqual(['Pre-motor foam']);
    expect(lines[0]!.reason).toMatch(/^Service past due since 2020-04-01\./);
    expect(lines.map((l) => l.fault)).not.toContain('filter-dirty');
    // Found clogged, the new one belongs to its repair.
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'filter-look', outcome: 'filter-caked' }],
    });
    const parts = (await ofFilter()).filter((l) => l.sort === 'part');
    expect(parts.map((l) => [l.fault, l.label])).toEqual([['filter-clogged', 'Pre-motor foam']]);
    expect(parts[0]!.reason).toMatch(/past due with a new one since 2020-04-01/);
  });

  test('a part that goes in new by date alone is its own work, dear ones can wait; undone it is not charged', async () => {
    const job = await found(K6, [{ check: 'handle-seated', outcome: 'loose' }], ['dead']);
    const ofRoll = async () => (await readProposal(job)).lines.filter((l) => /roll-new|roll-bound/.test(l.id));
    await late(job, 'roll-new');
    const lines = await ofRoll();
    expect(lines.map(({ id, group, sort }) => [id, group, sort])).toEqual([
      ['worn-roll-new', 'wait', 'labour'],
      ['worn-part-roll-new', 'wait', 'part'],
      ['way-worn-roll-new', 'wait', 'labour'],
    ]);
    expect(lines[0]!.reason).toBe('Service past due since 2020-04-01.');
    await offer(job);
    await agreeTo(shop.person, job, { offer: 'all' });
    const { estimate, owedMinor } = await agree(job);
    const all = estimate!.offers.find((o) => o.id === 'all')!;
    expect([all.lines.some((l) => l.line === 'worn-roll-new'), owedMinor]).toEqual([true, all.bill.grossMinor]);
    expect((await agree(job)).itemsLeft).toEqual(['New roll']);
    // Nothing of what could wait was done: no more is owed than the least that was offered.
    await toHandBack(
      shop.person,
      job,
      estimate!.lines.flatMap((l) => (l.group === 'must' ? [] : (l.fault ?? []))),
    );
    expect((await agree(job)).owedMinor).toBeLessThanOrEqual(estimate!.offers[0]!.bill.grossMinor);

    // Its part went in: the item is done, and owed.
    const without = (await agree(job)).owedMinor!;
    await fitPart(shop.person, job, { ...(await base(job)), code: 'RL-300', station: 'roll', quantity: 1 });
    const { itemsLeft, owedMinor: owed } = await agree(job);
    expect([itemsLeft, owed! > without + 2950]).toEqual([[], true]);

    // Where its hair is late as well, that comes first: it shows whether a new one is needed.
    const other = await found(K6, [{ check: 'handle-seated', outcome: 'loose' }], ['dead']);
    await late(other, 'roll-hair', 'roll-new');
    const both = (await readProposal(other)).lines.filter((l) => /roll-new|roll-bound/.test(l.id));
    expect(both.map((l) => l.id)).toEqual(['do-roll-bound-by-hair', 'way-roll-bound-by-hair']);
  });

  test('a wrong guess is owed by nobody: a setting that was tried is no line, what it put in is not in any offer', async () => {
    const job = await found(K2, [
      { check: 'finger-turn', outcome: 'normal-drag' },
      { check: 'repair:floor-setting-wrong', outcome: 'remains' },
      { check: 'repair:belt-teeth-worn', outcome: 'remains' },
      { check: 'tilt-switch-ohms', outcome: 'tilt-open' },
    ]);
    const { lines } = await readProposal(job);
    const of = (fault: string) => [...new Set(lines.filter((l) => l.fault === fault).map((l) => l.group))];
    expect(of('tilt-switch-failed')).toEqual(['must']);
    expect(of('floor-setting-wrong')).toEqual([]);
    expect(of('belt-teeth-worn')).toEqual(['not']);
    const { estimate } = await offer(job).then(() => agree(job));
    for (const o of estimate!.offers) expect(o.lines.map((l) => l.fault)).not.toContain('belt-teeth-worn');
    await issueDocument(shop.person, job, { ...(await base(job)), kind: 'estimate' });
    const { content } = await paperOf((await agree(job)).documents.at(-1)!.id);
    // Its part says nothing of its own to the owner.
    expect(content.said.find((s) => s.title === 'Not worth it')!.texts).toEqual([
      'Fit a new toothed belt: Tried on suspicion, and it was not it: it is not charged.',
    ]);
    const sheet = await careSheet(job);
    expect(sheet.mended).not.toContain('Set it to carpet, lean it back');
    // That it was the belt after all is mended work.
    const right = await found(K2, [{ check: 'repair:belt-teeth-worn', outcome: 'gone' }]);
    expect((await readProposal(right)).lines.find((l) => l.fault === 'belt-teeth-worn')!.group).toBe('must');
  });

  test('what a visit found worn, in words only, is work to be offered; nothing of it must be', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, [], { visit: 'service' });
    const item = 'exhaust-filter';
    const { label } = (await readJob(job)).service.find((l) => l.item === item)!;
    await serveItem(shop.person, job, { ...(await base(job)), item, state: 'worn', words: 'Frayed at one edge.' });
    const { lines } = await readProposal(job);
    expect(lines.map(({ id, group, label: l, reason }) => [id, group, l, reason])).toEqual([
      [`worn-${item}`, 'now', label, 'Found worn: Frayed at one edge.'],
      [`worn-part-${item}`, 'now', 'Pleated exhaust filter', ''],
    ]);
    expect(lines[1]).toMatchObject({ sort: 'part', code: 'EF-PLEAT', thousandths: 1000, minutes: null });
  });

  test('the repair, its part, the way in and back once, and the proof: all must', async () => {
    const { lines } = await readProposal(await beltGone());
    const must = lines.filter((l) => l.group === 'must');
    expect(must.map((l) => l.id)).toEqual(['do-belt-broken', 'part-belt-broken-belt', 'way-must', 'proof']);
    expect(must.find((l) => l.sort === 'part')).toMatchObject({ thousandths: 1000, fault: 'belt-broken' });
    // Four belts fit by their place and none is named by the model: nobody knows which before it is measured.
    expect(must.find((l) => l.sort === 'part')!.reason).toMatch(/measured first/);
  });

  test('two repairs behind one cover open it once', async () => {
    const one = await readProposal(await beltGone());
    const both = await readProposal(
      await found(K1, [
        { check: 'sole-plate-look', outcome: 'belt-missing' },
        { check: 'sole-plate-look', outcome: 'hair-much' },
      ]),
    );
    expect(both.lines.map((l) => l.fault)).toContain('roll-bound-by-hair');
    const way = (p: ProposalView) => p.lines.find((l) => l.id === 'way-must')!.minutes;
    expect(way(both)).toBe(way(one));
  });

  test('what pays while it is open saves more than it costs, and what does not can wait or is not named', async () => {
    const job = await beltGone();
    await shop
      .db('machine')
      .where({ id: (await readJob(job)).machine.id })
      .update({ made_year: 2019 });
    const { extras, lines, bundleWorthMinor } = await readProposal(job);
    expect(extras.length).toBeGreaterThan(5);
    for (const e of extras) {
      expect(e.chance).toBeGreaterThanOrEqual(0);
      expect(e.chance).toBeLessThanOrEqual(1);
      // Later it costs its whole way in, now at most the rest of it.
      expect(e.nowMinor).toBeLessThanOrEqual(e.thenMinor);
    }
    const named = new Set(lines.map((l) => l.fault));
    // Another state of the belt that is replaced is no extra.
    expect(named.has('belt-slipping')).toBe(false);
    const paying = extras.filter((e) => e.pays);
    expect(paying.reduce((sum, e) => sum + e.worthMinor, 0)).toBeGreaterThanOrEqual(bundleWorthMinor);
    for (const line of lines.filter((l) => l.group === 'wait')) expect(line.until).toMatch(/^\d{4}-\d{2}$/);
  });

  test('what was found in passing makes an extra likelier', async () => {
    const chance = async (job: number) =>
      (await readProposal(job)).extras.find((e) => e.fault === 'bearing-rough')!.chance;
    const before = await chance(await beltGone());
    const rough = await found(
      K1,
      [{ check: 'sole-plate-look', outcome: 'belt-missing' }],
      ['roll-not-turning', 'squeal'],
    );
    expect(await chance(rough)).toBeGreaterThan(before + 0.02);
  });

  test('a budget of nothing buys nothing, a large one what pays without any', async () => {
    const job = await beltGone();
    const ids = (p: ProposalView) => p.lines.filter((l) => l.group === 'now').map((l) => l.id);
    const free = await readProposal(job);
    expect(ids(await readProposal(job, 0))).toEqual([]);
    expect(ids(await readProposal(job, 1_000_000))).toEqual(ids(free));
  });

  test('the other school offers no more than what is worn', async () => {
    const job = await beltGone();
    await chooseSchools(shop.person, job, { ...(await base(job)), schools: [{ id: 'while-open', side: 'b' }] });
    expect((await readProposal(job)).lines.filter((l) => l.group === 'now')).toEqual([]);
    const wrong = chooseSchools(shop.person, job, { ...(await base(job)), schools: [{ id: 'moon', side: 'a' }] });
    expect((await refusal(wrong)).fields).toEqual([{ field: 'schools[0].id', message: 'There is no such question.' }]);
  });

  test('the owner’s own idea is answered', async () => {
    const job = await openJob(shop.person, shop.models[K1]!, ['roll-not-turning'], {
      customerDiagnosis: 'roll-bound-by-hair',
    });
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'sole-plate-look', outcome: 'belt-missing' }],
    });
    expect((await readProposal(job)).ownersIdea).toMatchObject({ right: false, found: ['Belt broken'] });
  });
});

describe('an estimate', () => {
  test('is priced here, stands as it was given, and waits for its answer', async () => {
    const job = await beltGone();
    await offer(job);
    const { agree: a, waits, stage } = await readJob(job);
    expect([a.standing, stage, a.mayOpen]).toEqual(['offered', 'agree', false]);
    expect(waits).toMatchObject([{ kind: 'answer', endedAt: null }]);
    const [minimum] = a.estimate!.offers;
    expect(minimum!.id).toBe('minimum');
    expect(minimum!.bill.grossMinor).toBe(minimum!.bill.lines.reduce((sum, l) => sum + l.grossMinor, 0));
    await offer(job, { offMinor: 100 });
    expect((await agree(job)).estimate!.number).toBe(2);
    expect(await shop.db('estimate').where({ job_id: job })).toHaveLength(2);
  });

  test('each offer is promised by itself: its day becomes the machine’s when it is agreed to', async () => {
    const job = await beltGone();
    const each = [{ offer: 'minimum' as const, readyOn: '2198-06-01', warrantyDays: 30 }];
    await offer(job, { each });
    expect((await agree(job)).estimate!.terms).toMatchObject({ readyOn: '2199-01-01', warrantyDays: 90, each });
    const past = { ...each[0]!, readyOn: addDays(today, -1) };
    expect((await refusal(offer(job, { each: [past] }))).fields).toEqual([
      { field: 'each[0].readyOn', message: 'That day is past.' },
    ]);
    await agreeTo(shop.person, job, { offer: 'minimum' });
    expect((await readJob(job)).promisedOn).toBe('2198-06-01');
    // Told for an answer in time: who answers when the day is past gives the shop as long as it asked for, not a day gone by.
    const late = await beltGone();
    await offer(late, { readyOn: addDays(today, 4) });
    await shop.db.raw(
      `update estimate set at = at - interval '9 days', terms = jsonb_set(terms, '{readyOn}', to_jsonb(?::text)) where job_id = ?`,
      [addDays(today, -5), late],
    );
    await agreeTo(shop.person, late, { offer: 'minimum' });
    expect((await readJob(late)).promisedOn).toBe(addDays(today, 4));
  });

  test('labour without a rate, a day that is past, too much off, nothing in it: each refused at its field', async () => {
    const job = await beltGone();
    const fields = async (more: Partial<MakeEstimateDto>) =>
      (await refusal(offer(job, more))).fields.map((f) => f.field);
    expect(await fields({ readyOn: addDays(today, -1) })).toEqual(['readyOn']);
    expect(await fields({ offMinor: 99_000_000 })).toEqual(['offMinor']);
    expect(await fields({ depositMinor: 99_000_000 })).toEqual(['depositMinor']);
    const { lines } = await estimateOf(job);
    expect(await fields({ lines: lines.map((l) => ({ ...l, group: 'not', reason: 'Too dear.' })) })).toEqual(['lines']);
    expect(await fields({ lines: [{ ...lines[0]!, group: 'not', reason: ' ' }, lines[1]!] })).toEqual([
      'lines[0].reason',
    ]);
    expect(await fields({ lines: [lines[1]!, { ...lines[1]!, fault: 'pump-failed' }] })).toEqual([
      'lines[1].id',
      'lines[1].fault',
    ]);
    await shop.db('shop').update({ labour_minor: null });
    expect(await fields({ lines: [lines[0]!] })).toEqual(['lines[0].minutes']);
    await shop.db('shop').update({ labour_minor: 6000 });
  });
});

describe('the answer', () => {
  const strip = async (job: number) => {
    const [step] = (await readJob(job)).strip.ahead;
    return stripStep(shop.person, job, { ...(await base(job)), step: step!.id, state: 'done' });
  };

  test('nothing is opened further than Find did before it, and everything after a yes', async () => {
    const job = await beltGone();
    await offer(job);
    expect((await refusal(strip(job))).fields[0]!.message).toMatch(/has not agreed yet/);
    await agreeTo(shop.person, job, { offer: 'minimum' });
    const { agree: a, waits, place } = await readJob(job);
    expect([a.standing, a.offer, a.mayOpen, place]).toEqual(['agreed', 'minimum', true, 'bench']);
    expect(waits.every((w) => w.endedAt !== null)).toBe(true);
    await strip(job);
  });

  test('a yes to offers says to which; to prices that ran out, none', async () => {
    const job = await beltGone();
    await offer(job);
    expect((await refusal(agreeTo(shop.person, job))).fields[0]!.field).toBe('offer');
    await shop
      .db('estimate')
      .where({ job_id: job })
      .update({ terms: shop.db.raw(`terms || '{"validUntil": "2020-01-01"}'`) });
    expect((await refusal(agreeTo(shop.person, job, { offer: 'minimum' }))).fields[0]!.message).toMatch(/held until/);
  });

  test('a limit agreed beforehand lets the job run on below it, and no further', async () => {
    const job = await beltGone();
    const limit = async (limitMinor: number) =>
      recordAnswer(shop.person, job, {
        ...(await base(job)),
        says: 'limit',
        way: 'counter',
        who: 'The owner',
        words: '',
        limitMinor,
      });
    await limit(500);
    expect((await agree(job)).standing).toBe('open');
    await offer(job);
    expect((await agree(job)).standing).toBe('offered');
    const gross = (await agree(job)).estimate!.offers[0]!.bill.grossMinor;
    await limit(gross);
    expect(await agree(job)).toMatchObject({ standing: 'within-limit', offer: 'minimum', mayOpen: true });
    await limit(gross - 1);
    expect((await agree(job)).standing).toBe('offered');
  });

  test('a limit signs nothing: an offer that leaves a danger is not run on by itself, and a limit takes back a no', async () => {
    const job = await beltGone();
    const { lines } = await estimateOf(job);
    const cord = {
      ...lines[0]!,
      id: 'cord',
      fault: 'cord-damaged',
      label: 'New cord',
      group: 'wait' as const,
      reason: '',
    };
    const must = lines.filter((l) => l.group === 'must');
    await offer(job, { lines: [...must, cord] });
    const limit = { says: 'limit' as const, limitMinor: 1_000_000 };
    await agreeTo(shop.person, job, limit);
    expect((await agree(job)).mayOpen).toBe(false);
    await offer(job, { lines: must });
    expect((await agree(job)).standing).toBe('within-limit');
    await agreeTo(shop.person, job, { says: 'as-is' });
    expect((await agree(job)).standing).toBe('as-is');
    await agreeTo(shop.person, job, limit);
    expect((await agree(job)).standing).toBe('within-limit');
  });

  test('what is found after the yes asks again', async () => {
    const job = await beltGone();
    await agreeTo(shop.person, job);
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'filter-look', outcome: 'filter-grey' }],
    });
    const a = await agree(job);
    expect([a.standing, a.foundSince, a.mayOpen]).toEqual(['found-since', ['filter-dirty'], false]);
    await moveStage(shop.person, job, { ...(await base(job)), to: 'strip' });
    expect((await refusal(strip(job))).fields[0]!.message).toMatch(/found since the owner agreed/);
  });

  test('a new estimate asks anew, whatever was answered to the last', async () => {
    const job = await beltGone();
    await offer(job);
    await agreeTo(shop.person, job, { offer: 'minimum' });
    await offer(job);
    expect((await agree(job)).standing).toBe('offered');
  });

  test('ask again waits until that day; a limit needs an amount, and a day lies ahead', async () => {
    const job = await beltGone();
    await agreeTo(shop.person, job, { says: 'ask-again', askOn: addDays(today, 3) });
    const { agree: a, waits } = await readJob(job);
    expect(a.standing).toBe('ask-again');
    expect(waits.at(-1)).toMatchObject({ kind: 'answer', what: `ask again on ${addDays(today, 3)}`, endedAt: null });
    expect(
      (await refusal(agreeTo(shop.person, job, { says: 'ask-again', askOn: '2020-01-01' }))).fields[0]!.field,
    ).toBe('askOn');
    expect((await refusal(agreeTo(shop.person, job, { says: 'limit' }))).fields[0]!.field).toBe('limitMinor');
    expect((await refusal(agreeTo(shop.person, job, { who: '  ' }))).fields[0]!.field).toBe('who');
  });

  test('something dangerous is left out only when a warning was signed', async () => {
    const job = await beltGone();
    const { lines } = await estimateOf(job);
    const cord = {
      ...lines[0]!,
      id: 'cord',
      fault: 'cord-damaged',
      label: 'New cord',
      group: 'wait' as const,
      reason: 'Later.',
    };
    await offer(job, { lines: [...lines.filter((l) => l.fault !== 'cord-damaged'), cord] });
    const refused = await refusal(agreeTo(shop.person, job, { offer: 'minimum' }));
    expect(refused.fields[0]).toEqual({
      field: 'signed',
      message: 'Something that can hurt somebody is left out: who signed the warning.',
    });
    await agreeTo(shop.person, job, { offer: 'minimum', signed: 'J. Marsk' });
    expect((await agree(job)).answers.at(-1)!.signed).toBe('J. Marsk');
  });

  test('what the agreed offer leaves out is neither on the way in nor on the way back, and stays open on the machine', async () => {
    const job = await found(
      K1,
      [
        { check: 'sole-plate-look', outcome: 'belt-missing' },
        { check: 'filter-look', outcome: 'filter-caked' },
      ],
      ['roll-not-turning', 'weak-suction'],
    );
    const before = await readJob(job);
    const [other] = before.proved.filter((f) => f !== 'belt-broken');
    expect(before.rebuild.some((l) => l.fault === other)).toBe(true);
    const { lines } = await estimateOf(job);
    await offer(job, { lines: lines.map((l) => (l.fault === other ? { ...l, group: 'wait' as const } : l)) });
    expect((await agree(job)).notWanted).toEqual([]);
    await agreeTo(shop.person, job, { offer: 'minimum' });
    const after = await readJob(job);
    expect(after.agree.notWanted).toEqual([other]);
    expect(after.rebuild.some((l) => l.fault === other)).toBe(false);
    expect(after.rebuild.some((l) => l.fault === 'belt-broken')).toBe(true);
    expect(after.leftOpen).toContain(other);
    // All of it agreed to after all: it is to be mended again.
    await agreeTo(shop.person, job, { offer: 'all' });
    const all = await readJob(job);
    expect(all.agree.notWanted).toEqual([]);
    expect(all.rebuild.some((l) => l.fault === other)).toBe(true);
    // Nothing wanted: it is put back as it was, and nobody asks for the owner's word a second time.
    await recordAnswer(shop.person, job, {
      ...(await base(job)),
      says: 'as-is',
      way: 'phone',
      who: 'J. Marsk',
      words: '',
    });
    const no = await readJob(job);
    expect([no.toMend, no.agree.notWanted]).toEqual([[], no.proved]);
    expect(no.rebuild.filter((l) => l.sort === 'repair')).toEqual([]);
    const inPieces = await refusal(
      handBack(shop.person, job, { ...(await base(job)), faults: no.proved, ending: 'unrepaired', advice: '' }),
    );
    expect(inPieces.fields).toEqual([
      {
        field: 'foundWords',
        message: expect.stringMatching(/^It is not together: \d+ steps of the way back still open/),
      },
    ]);
    await handBack(shop.person, job, {
      ...(await base(job)),
      faults: no.proved,
      ending: 'unrepaired',
      foundWords: 'Too dear.',
      advice: '',
    });
    expect((await readJob(job)).leftOpen).toEqual(no.proved);
    expect((await careSheet(job)).notWanted).toBe('It was offered, and not wanted.');
  });

  test('what was agreed while it is open is opened for, mended and proved like the rest, and is no fault of the machine', async () => {
    const job = await beltGone();
    const { lines } = await estimateOf(job);
    const line = (fault: string, label: string) => ({
      ...lines[0]!,
      id: `do-${fault}`,
      fault,
      label,
      group: 'now' as const,
    });
    const besides = [line('bearing-rough', 'New roll bearings'), line('main-switch-failed', 'New switch')];
    await offer(job, { lines: [...lines.filter((l) => l.group === 'must'), ...besides] });
    await agreeTo(shop.person, job, { offer: 'minimum' });
    expect((await readJob(job)).toMend).toEqual(['belt-broken']);
    await agreeTo(shop.person, job, { offer: 'recommended' });
    const agreed = await readJob(job);
    expect(agreed.proved).toEqual(['belt-broken']);
    expect(agreed.toMend).toEqual(['belt-broken', 'bearing-rough', 'main-switch-failed']);
    // The way in goes as far as it takes, the bearing comes before the belt that runs over it, the switch owes its proof.
    expect(agreed.strip.ahead.map((s) => s.access)).toEqual(expect.arrayContaining(['roll-out', 'motor-bay']));
    const works = [...new Set(agreed.rebuild.flatMap((l) => l.fault ?? []))];
    expect(new Set(works)).toEqual(new Set(agreed.toMend));
    expect(works.indexOf('bearing-rough')).toBeLessThan(works.indexOf('belt-broken'));
    expect(agreed.proofs.map((p) => p.item)).toContain('switch-cuts');
    await toHandBack(shop.person, job);
    const done = await readJob(job);
    expect(new Set(done.repaired)).toEqual(new Set(agreed.toMend));
    await handBack(shop.person, job, { ...(await base(job)), faults: ['belt-broken'], advice: '' });
    const book = await shop.db('timeline').where({ job_id: job, what: 'repaired' }).pluck('text');
    expect(book).toContain('Fit new roll bearings as a pair: done while it was open, as agreed');
    expect(await shop.db('confirmed_fault').where({ job_id: job }).pluck('fault')).toEqual(['belt-broken']);
  });

  test('what was not wanted comes up at the next visit, until it is mended', async () => {
    const job = await beltGone();
    const { lines } = await estimateOf(job);
    const filter = {
      ...lines[0]!,
      id: 'filter',
      fault: 'filter-clogged',
      label: 'New filter',
      group: 'wait' as const,
      reason: 'Grey.',
    };
    await offer(job, { lines: [...lines.filter((l) => l.group === 'must'), filter] });
    await agreeTo(shop.person, job, { offer: 'minimum' });
    await fitPart(shop.person, job, { ...(await base(job)), code: 'FB-10-300', station: 'flat-belt', quantity: 1 });
    await toHandBack(shop.person, job);
    const { machine } = await readJob(job);
    await handBack(shop.person, job, {
      ...(await base(job)),
      faults: ['belt-broken'],
      foundWords: '',
      ownersWord: 'Next time.',
      advice: '',
    });
    const { newMachine: _machine, newCustomer: _customer, ...again } = newJobDto(0, ['weak-suction']);
    const next = (await takeIn(shop.person, { ...again, machineId: machine.id })).job;
    expect((await agree(next)).declinedBefore).toMatchObject([{ label: 'New filter', fault: 'filter-clogged', job }]);
    await shop
      .db('answer')
      .where({ job_id: job })
      .update({ at: new Date(Date.now() - 200 * 86_400_000) });
    const { reason } = (await readProposal(next)).lines.find((l) => l.fault === 'filter-clogged')!;
    const told = /^Not wanted on [\d-]+: within a year it failed with (\d+) % then, with (\d+) % now\.$/.exec(reason)!;
    expect(Number(told[2])).toBeGreaterThan(Number(told[1]));
  });
});

describe('bridging a protection', () => {
  const consent = {
    fault: 'tilt-switch-failed',
    who: 'Jory Marsk',
    words: 'I know that it will not stop by itself.',
    rule: 'House rules looked at: silent',
    allowedHere: true,
    labelPrinted: true,
  };
  const failed = async () => {
    const job = await openJob(shop.person, shop.models[K2]!, ['roll-not-turning']);
    await recordFindings(shop.person, job, {
      ...(await base(job)),
      findings: [{ check: 'tilt-switch-ohms', condition: 'leaned-back', value: 1e9, unit: 'Ω' }],
    });
    expect((await readJob(job)).proved).toContain('tilt-switch-failed');
    return job;
  };

  test('only by the school that allows it, with every rule of it kept; it stays with the machine', async () => {
    const job = await failed();
    const go = async (more: object = {}) => bridge(shop.person, job, { ...(await base(job)), ...consent, ...more });
    expect((await refusal(go())).fields[0]!.message).toMatch(/shop replaces/);
    await chooseSchools(shop.person, job, { ...(await base(job)), schools: [{ id: 'interlock', side: 'b' }] });
    expect((await refusal(go({ allowedHere: false, labelPrinted: false }))).fields.map((f) => f.field)).toEqual([
      'allowedHere',
      'labelPrinted',
    ]);
    expect((await refusal(go({ fault: 'belt-broken' }))).fields[0]!.field).toBe('fault');
    await go();
    expect((await agree(job)).bridges).toMatchObject([{ fault: 'tilt-switch-failed', who: 'Jory Marsk' }]);
    expect((await refusal(go())).fields[0]!.message).toBe('It is bridged already.');
    // Not that it stops, but that everybody can see that it does not; and it stands on the machine from now on.
    const now = await readJob(job);
    const items = now.proofs.map((p) => p.item);
    expect([items.includes('stops-upright'), items.includes('bridged-labelled')]).toEqual([false, true]);
    expect(now.standing).toContain('interlock-bypass');
    const part = now.parts.find((p) => p.station === 'tilt-switch')!;
    await fitPart(shop.person, job, { ...(await base(job)), code: part.code, station: 'tilt-switch', quantity: 1 });
    const mended = await readJob(job);
    expect(mended.proofs.map((p) => p.item)).toContain('stops-upright');
    expect(mended.standing).not.toContain('interlock-bypass');
    const told = await shop.db('timeline').where({ job_id: job, what: 'bridged' });
    expect(told).toHaveLength(1);
  });
});
