/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { proposedStep } from '@/core/diagnosis/finderCase';
import { checksOf } from '@/core/diagnosis/knowledge';
import { knowledge } from '@/knowledge';
import { jobInFind } from '../job/job.fixture';
import { useJob } from '../job/useJob';
import { furnishBrowser, stand } from '../testBench.fixture';
import { FindWork } from './FindWork';

const before = jobInFind();
/** What the finder proposes first, and its first answer. */
const first = checksOf(knowledge, 'upright-brush-motor').find(
  (c) => c.id === proposedStep(before.odds.assessment.next, [])!.check,
)!;
const outcome = first.aspects[0]!.outcomes[0]!.id;
const after = jobInFind([{ check_id: first.id, outcome }]);
/** What a deed answers: only what changed. */
const changes = { id: 12, version: 2, findings: after.facts.findings, oddsKey: after.facts.oddsKey };

function Screen({ told }: { told: Parameters<typeof useJob>[1] }) {
  const desk = useJob(before.facts, told);
  return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
}
const bench = () => screen.getByRole('region', { name: 'Check on the bench' });
const settle = () => act(async () => {});

beforeEach(() => window.localStorage.clear());

test('the page shows its facts before its odds are there, and proposes nothing until then', async () => {
  const { sent } = furnishBrowser();
  let tell!: (odds: typeof before.odds) => void;
  stand(<Screen told={new Promise((done) => (tell = done))} />);
  await settle();
  expect(bench().textContent).toContain('Reckoning the next step');
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  expect(sent.some((s) => s.method === 'POST')).toBe(false);
  await act(async () => tell(before.odds));
  expect(bench().textContent).toContain(first.label);
});

test('what is proved stands there before its odds, so that nothing below it moves when they come', async () => {
  furnishBrowser();
  const found = jobInFind([{ check_id: 'tilt-switch-ohms', outcome: 'tilt-open' }]);
  expect(found.facts.proved).toEqual(['tilt-switch-failed']);
  let tell!: (odds: typeof found.odds) => void;
  function Found({ told }: { told: Parameters<typeof useJob>[1] }) {
    const desk = useJob(found.facts, told);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  stand(<Found told={new Promise((done) => (tell = done))} />);
  await settle();
  expect(screen.getByText('Cause proved: Tilt switch failed.')).toBeTruthy();
  expect(screen.getByText(/is being reckoned/).textContent).not.toMatch(/%/);
  expect(screen.getByRole('button', { name: /To Agree/ })).toBeTruthy();
  await act(async () => tell(found.odds));
  expect(screen.getByText('Cause proved: Tilt switch failed.')).toBeTruthy();
  expect(screen.getByText(/is gone with/).textContent).toMatch(/\d %/);
});

test('what only shows that something is wrong is not called the cause: a cut-out that opened did so for a reason', async () => {
  furnishBrowser();
  const never = new Promise<never>(() => {});
  const show = (proved: string[]) => {
    const facts = { ...before.facts, complaints: ['stops-after-minutes'], proved };
    function Stopped() {
      const desk = useJob(facts, never);
      return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
    }
    return stand(<Stopped />);
  };
  // Alone, or with something found that has nothing to do with it.
  for (const proved of [['thermal-cutout-open'], ['thermal-cutout-open', 'screws-missing']]) {
    const { unmount } = show(proved);
    await settle();
    expect(screen.queryByText(/Cause proved/)).toBeNull();
    unmount();
  }
  show(['thermal-cutout-open', 'breather-clogged']);
  await settle();
  expect(screen.getByText(/Cause proved/)).toBeTruthy();
});

test('after a press an old proposal takes no answer: a key pressed then falls on nothing', async () => {
  const { sent, answer } = furnishBrowser();
  let giveOdds!: (odds: typeof after.odds) => void;
  const coming = new Promise<typeof after.odds>((done) => (giveOdds = done));
  answer.with = (method, url) => {
    if (url.endsWith('/record-findings')) return changes;
    if (url.includes('/odds?')) return coming;
    return { content: null, at: null };
  };
  stand(<Screen told={before.odds} />);
  await settle();
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  await settle();
  const presses = () => sent.filter((s) => s.url.endsWith('/record-findings'));
  expect(presses()).toHaveLength(1);
  expect(presses()[0]!.body).toMatchObject({
    version: 1,
    findings: [{ check: first.id, outcome }],
  });
  // What was found stands there at once; the odds are the old ones, and say so.
  expect(within(screen.getByRole('region', { name: 'Findings so far' })).getAllByRole('listitem')).toHaveLength(1);
  expect(screen.getByRole('region', { name: 'Odds of the faults' }).getAttribute('aria-busy')).toBe('true');
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  await settle();
  expect(presses()).toHaveLength(1);
  await act(async () => giveOdds(after.odds));
  expect(screen.getByRole('region', { name: 'Odds of the faults' }).getAttribute('aria-busy')).toBe('false');
  expect(bench().textContent).not.toContain('Reckoning');
});

test('odds that were told before are there at once when the answer is taken back', async () => {
  const { sent, answer } = furnishBrowser();
  answer.with = (_method, url) => {
    if (url.endsWith('/record-findings')) return changes;
    if (url.endsWith('/revoke-finding'))
      return {
        id: 12,
        version: 3,
        findings: [{ ...after.facts.findings[0]!, revoked: true }],
        oddsKey: before.facts.oddsKey,
      };
    if (url.includes('/odds?')) return after.odds;
    return { content: null, at: null };
  };
  stand(<Screen told={before.odds} />);
  await settle();
  const asked = () => sent.filter((s) => s.url.includes('/odds?')).length;
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  await waitFor(() => expect(asked()).toBe(1));
  await waitFor(() => expect(bench().textContent).not.toContain('Reckoning'));
  fireEvent.keyDown(document, { key: 'u', code: 'KeyU' });
  await waitFor(() => expect(bench().textContent).toContain(first.label));
  expect(asked()).toBe(1);
});

test('who asks by name for the check that is on the bench keeps it', async () => {
  furnishBrowser();
  stand(<Screen told={before.odds} />);
  await settle();
  fireEvent.change(screen.getByLabelText('Find a check'), { target: { value: first.label } });
  fireEvent.keyDown(screen.getByLabelText('Find a check'), { key: 'Enter' });
  await settle();
  expect(within(bench()).getByRole('heading', { level: 2 }).textContent).toContain(first.label);
});

describe('presses that are quicker than the line', () => {
  const check = 'sole-plate-look';
  const outcomes = checksOf(knowledge, 'upright-brush-motor')
    .find((c) => c.id === check)!
    .aspects.flatMap((a) => a.outcomes.map((o) => o.id));
  const shown = () =>
    within(screen.getByRole('region', { name: 'Findings so far' }))
      .getAllByRole('listitem')
      .map((li) => li.textContent);

  /** A bench with the check open, and a server that answers when it is told to. */
  async function open() {
    const { sent, answer } = furnishBrowser();
    const answers: ((body: unknown) => void)[] = [];
    answer.with = (_method, url) =>
      url.endsWith('/record-findings') ? new Promise((done) => answers.push(done)) : { content: null, at: null };
    stand(<Screen told={before.odds} />);
    await settle();
    fireEvent.change(screen.getByLabelText('Find a check'), { target: { value: 'Sole plate off' } });
    fireEvent.keyDown(screen.getByLabelText('Find a check'), { key: 'Enter' });
    await settle();
    const presses = () => sent.filter((s) => s.url.endsWith('/record-findings')).map((s) => s.body as Sent);
    const key = (k: string) => fireEvent.keyDown(document, { key: k, code: `Digit${k}` });
    return { presses, key, answers };
  }
  // What lies half done on the bench is kept: the next test has another bench.
  afterEach(async () => {
    fireEvent.keyDown(document, { key: 'Escape', code: 'Escape' });
    await settle();
  });
  interface Sent {
    version: number;
    key: string;
    findings: { outcome: string }[];
  }

  test('twenty of them stand there at once and are saved one after the other, in order, none dropped', async () => {
    const { presses, key, answers } = await open();
    const typed = Array.from({ length: 20 }, (_, i) => 1 + (i % 9));
    typed.forEach((n) => key(String(n)));
    await settle();
    expect(shown()).toHaveLength(20);
    expect(presses()).toHaveLength(1);
    for (let i = 0; i < 20; i++) {
      await waitFor(() => expect(answers).toHaveLength(i + 1));
      answers[i]!({ id: 12, version: 2 + i });
      await settle();
    }
    expect(presses().map((p) => p.findings[0]!.outcome)).toEqual(typed.map((n) => outcomes[n - 1]));
    expect(presses().map((p) => p.version)).toEqual(typed.map((_, i) => 1 + i));
    expect(new Set(presses().map((p) => p.key)).size).toBe(20);
  });

  test('when one is not saved those behind it wait, are counted, and go on when they are sent again', async () => {
    const { presses, key, answers } = await open();
    ['1', '7', '8'].forEach(key);
    await settle();
    answers[0]!({ status: 503, title: 'The shop is busy.' });
    await waitFor(() => expect(screen.getByText('3 of your answers are not saved.')).toBeTruthy());
    expect(presses()).toHaveLength(1);
    expect(shown()).toHaveLength(3);
    fireEvent.click(screen.getByRole('button', { name: 'Save them now' }));
    for (let i = 1; i <= 3; i++) {
      await waitFor(() => expect(answers).toHaveLength(i + 1));
      answers[i]!({ id: 12, version: 1 + i });
      await settle();
    }
    expect(presses().map((p) => p.findings[0]!.outcome)).toEqual([0, 0, 6, 7].map((n) => outcomes[n]));
    expect(screen.queryByText(/not saved/)).toBeNull();
  });
});

test('what a visit found though nothing was complained of goes to its owner, and no complaint is spoken of', async () => {
  furnishBrowser();
  const found = jobInFind([{ check_id: 'sole-plate-look', outcome: 'roll-mildewed' }], { complaints: [] });
  const odds = { ...found.odds, assessment: { ...found.odds.assessment, next: [] } };
  function Visit() {
    const desk = useJob({ ...found.facts, visit: 'service' }, odds);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  stand(<Visit />);
  await settle();
  expect(screen.getByText('Found: roll mouldy.')).toBeTruthy();
  expect(screen.getByRole('button', { name: /To Agree/ })).toBeTruthy();
  expect(document.body.textContent).not.toMatch(/complaint,|Nothing that is known explains|Go on without proof/);
});

test('what comes first because of how it arrived is asked for at a visit too, however little it tells', async () => {
  furnishBrowser();
  const next = before.odds.assessment.next.map((n) => ({ ...n, informs: 0 }));
  const odds = { ...before.odds, assessment: { ...before.odds.assessment, next } };
  function Visit({ firstChecks }: { firstChecks: string[] }) {
    const desk = useJob({ ...before.facts, visit: 'service', complaints: [], firstChecks }, odds);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  const { unmount } = stand(<Visit firstChecks={[next[0]!.check]} />);
  await settle();
  expect(screen.getByText('First, because of how it arrived.')).toBeTruthy();
  unmount();
  stand(<Visit firstChecks={[]} />);
  await settle();
  expect(screen.queryByText('First, because of how it arrived.')).toBeNull();
  expect(screen.queryByRole('region', { name: 'Check on the bench' })).toBeNull();
});

test('findings that cannot all be true are said to be so', async () => {
  furnishBrowser();
  stand(<Screen told={{ key: before.facts.oddsKey, assessment: null, problem: 'Nothing explains all of this.' }} />);
  await settle();
  expect(screen.getByText('These findings cannot all be true.')).toBeTruthy();
});

test('a reading that is begun stays on the bench, whatever is worked out anew meanwhile', async () => {
  const { answer } = furnishBrowser();
  const turned = jobInFind([{ check_id: 'finger-turn', outcome: 'normal-drag' }]);
  const { assessment } = turned.odds;
  const read = assessment.next.find((n) =>
    checksOf(knowledge, 'upright-brush-motor')
      .find((c) => c.id === n.check)
      ?.aspects.some((a) => a.reading),
  )!;
  const odds = { ...turned.odds, assessment: { ...assessment, next: [read], finished: false } };
  answer.with = (_method, url) => {
    if (url.endsWith('/revoke-finding'))
      return {
        id: 12,
        version: 3,
        findings: turned.facts.findings.map((f) => ({ ...f, revoked: true })),
        oddsKey: before.facts.oddsKey,
      };
    // The new odds are long in coming.
    if (url.includes('/odds?')) return new Promise(() => {});
    return { content: null, at: null };
  };
  function Turned() {
    const desk = useJob(turned.facts, odds);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  stand(<Turned />);
  await settle();
  const field = () => within(bench()).getAllByRole<HTMLInputElement>('textbox')[0]!;
  fireEvent.change(field(), { target: { value: '17' } });
  await settle();
  fireEvent.click(screen.getByRole('button', { name: /Undo last/ }));
  await settle();
  expect(screen.getByRole('region', { name: 'Odds of the faults' }).getAttribute('aria-busy')).toBe('true');
  expect(field().value).toBe('17');
});

test('a repair that is as sure as it gets without power is fitted first, and answered when it is made safe', async () => {
  furnishBrowser();
  const [likely] = before.odds.assessment.next;
  const held = {
    ...likely!,
    check: 'repair:brush-motor-failed',
    informs: 0,
    asGood: true,
    why: [],
    heldBackBy: ['burnt-smell'],
  };
  const odds = { ...before.odds, assessment: { ...before.odds.assessment, next: [held, likely!] } };
  function Burnt() {
    const desk = useJob({ ...before.facts, id: 77, cautions: ['burnt-smell'], firstChecks: [] }, odds);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  stand(<Burnt />);
  await settle();
  expect(screen.getByText('Fit it; it is run when it is made safe.')).toBeTruthy();
  expect(within(bench()).getByRole('heading').textContent).toMatch(/motor/i);
  expect(within(bench()).getByText(/Held back: Smells burnt/)).toBeTruthy();
  const gone = within(bench()).getByRole<HTMLButtonElement>('button', { name: /complaint gone/ });
  expect(gone.disabled).toBe(true);
  expect(document.body.textContent).not.toContain('No check is worth its minutes');
});

test('a roll that is turned only because something is run next says what waits, and nobody is sent to a repair instead', async () => {
  furnishBrowser();
  const [turn, other] = [before.odds.assessment.next.find((n) => n.check === 'finger-turn')!, 'run-seconds'];
  const told = [
    { ...turn, informs: 0, total: 30 },
    { ...turn, check: other, informs: 0.5, total: 29, asGood: false, heldBackBy: ['roll-free-before-power'] },
  ];
  const odds = { ...before.odds, assessment: { ...before.odds.assessment, next: told } };
  function Waiting() {
    const desk = useJob({ ...before.facts, id: 78, firstChecks: [] }, odds);
    return <FindWork desk={desk} onLook={() => {}} onDone={() => {}} station={null} onStation={() => {}} />;
  }
  stand(<Waiting />);
  await settle();
  const run = checksOf(knowledge, 'upright-brush-motor').find((c) => c.id === other)!;
  expect(bench().textContent).toContain(`Why this one: “${run.label}” is worth most`);
  expect(document.body.textContent).not.toContain('No check is worth its minutes');
});
