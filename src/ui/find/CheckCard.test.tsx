/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { jobInFind } from '../job/job.fixture';
import { furnishBrowser, stand } from '../testBench.fixture';
import { CheckCard } from './CheckCard';

beforeEach(() => furnishBrowser());

function card(checkId: string, { facts, odds } = jobInFind()) {
  const onRecord = jest.fn();
  const onLeave = jest.fn();
  stand(
    <CheckCard
      job={facts}
      checkId={checkId}
      next={odds.assessment.next.find((n) => n.check === checkId) ?? null}
      proposed
      onRecord={onRecord}
      onLeave={onLeave}
      onBegin={() => {}}
    />,
  );
  return { onRecord, onLeave };
}

test('every outcome has a button and a key, and the key answers with it', async () => {
  const { onRecord } = card('finger-turn');
  expect(screen.getByRole('heading', { name: 'Turn the roll by hand' })).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: /turns but grates/ }));
  expect(onRecord).toHaveBeenLastCalledWith([{ check: 'finger-turn', outcome: 'grates' }], false);
  fireEvent.keyDown(document, { key: '2', code: 'Digit2' });
  expect(onRecord).toHaveBeenLastCalledWith([{ check: 'finger-turn', outcome: 'free-no-drag' }], false);
  await act(async () => {});
});

test('a key keeps its meaning while the check is open, whatever was answered meanwhile', async () => {
  const turned = { check_id: 'finger-turn', outcome: 'normal-drag' };
  const keys = () =>
    screen.getAllByRole('button').flatMap((b) => /^([1-9a-z]) ?(.+)$/.exec(b.textContent)?.slice(1).join(' ') ?? []);
  const { unmount } = stand(<div />);
  unmount();
  card('run-seconds', jobInFind([turned]));
  const before = keys();
  expect(before.length).toBeGreaterThan(10);
  document.body.innerHTML = '';
  const { onRecord } = card('run-seconds', jobInFind([turned, { check_id: 'run-seconds', outcome: 'roll-none' }]));
  expect(keys()).toEqual(before);
  expect(screen.getByRole('button', { name: /does not turn/, pressed: true })).toBeTruthy();
  // The sound is still to be answered; then the check is done with, the smell apart.
  fireEvent.keyDown(document, { key: '5', code: 'Digit5' });
  expect(onRecord).toHaveBeenLastCalledWith([{ check: 'run-seconds', outcome: 'sound-even' }], true);
  // What was answered can be put right by its own key.
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  expect(onRecord).toHaveBeenLastCalledWith([{ check: 'run-seconds', outcome: 'roll-normal' }], true);
  await act(async () => {});
});

test('under a hold nothing that needs power can be answered, and the plate says why', async () => {
  const wet = jobInFind([{ check_id: 'finger-turn', outcome: 'normal-drag' }], { signs: ['wet'] });
  const { onRecord } = card('run-seconds', wet);
  expect(screen.getByText(/Held back: Has been wet/)).toBeTruthy();
  fireEvent.keyDown(document, { key: '1', code: 'Digit1' });
  for (const button of screen.getAllByRole('button')) fireEvent.click(button);
  expect(onRecord).not.toHaveBeenCalled();
  await act(async () => {});
});

test('the roll is to be turned before it is run, until it was, and was free', async () => {
  const { unmount } = stand(<div />);
  unmount();
  card('run-seconds', jobInFind([{ check_id: 'finger-turn', outcome: 'stuck' }]));
  expect(screen.getByText(/Held back: Turn the roll first/)).toBeTruthy();
  await act(async () => {});
});

test('a reading is kept in the base unit; what cannot be is told at the field and nothing is sent', async () => {
  const { onRecord } = card('head-socket-volts', jobInFind([{ check_id: 'finger-turn', outcome: 'normal-drag' }]));
  const field = screen.getAllByRole('textbox')[0]!;
  const keep = screen.getAllByRole('button', { name: 'Keep' })[0]!;
  fireEvent.change(field, { target: { value: 'about so much' } });
  fireEvent.click(keep);
  expect(onRecord).not.toHaveBeenCalled();
  expect(screen.getByText(/Type a number/)).toBeTruthy();
  fireEvent.change(field, { target: { value: '0.117 kV' } });
  expect(screen.getByText(/Read as 117 V/)).toBeTruthy();
  fireEvent.click(keep);
  expect(onRecord).toHaveBeenCalledWith(
    [expect.objectContaining({ check: 'head-socket-volts', value: 117, unit: 'V' })],
    true,
  );
  await act(async () => {});
});

test('an answer that moves nothing gives no reason, and a check without reasons says none', async () => {
  const found = jobInFind();
  const next = found.odds.assessment.next.find((n) => n.check === 'finger-turn')!;
  card('finger-turn', found);
  expect(document.body.textContent).toContain('Why this one: ');
  document.body.innerHTML = '';
  next.why = next.why.map((w) => ({ ...w, topFault: null }));
  card('finger-turn', found);
  expect(document.body.textContent).not.toContain('Why this one');
  await act(async () => {});
});

test('an answer that speaks against a fault is said to bring it down', async () => {
  const found = jobInFind();
  const next = found.odds.assessment.next.find((n) => n.check === 'finger-turn')!;
  const [first] = next.why;
  next.why = [
    { ...first!, topFault: 'roll-bound-by-hair', topProbability: 0.9, falls: undefined },
    { ...first!, outcomes: ['free-no-drag'], topFault: 'roll-bound-by-hair', topProbability: 0.06, falls: true },
  ];
  card('finger-turn', found);
  expect(document.body.textContent).toMatch(
    /would leave “Roll bound by hair” at 90 %.*would bring “Roll bound by hair” down to 6 %/,
  );
  await act(async () => {});
});

test('a gauge is opened as the check asks it, with the machine’s own mains where it wants them', async () => {
  const turned = { check_id: 'finger-turn', outcome: 'normal-drag' };
  card('head-socket-volts', jobInFind([turned]));
  const asked = screen
    .getAllByRole<HTMLAnchorElement>('link', { name: 'Reckon it: Supply and cord' })
    .map((link) => new URL(link.href).searchParams);
  expect(asked.map((a) => a.get('roll')).sort()).toEqual(['off', 'on']);
  for (const a of asked) {
    expect(a.get('asks')).toBe('reading');
    expect(a.get('job')).toBe('12');
    expect(a.get('mains')).toMatch(/^1\d\d V$|^2\d\d V$/);
  }
  await act(async () => {});
});

test('the reasons, which come with the odds, stand below the keys: none of them moves away under a finger', async () => {
  card('finger-turn');
  const why = screen.getByText('Why this one:');
  for (const button of screen.getAllByRole('button'))
    expect(button.compareDocumentPosition(why) & Node.DOCUMENT_POSITION_FOLLOWING).toBeTruthy();
  await act(async () => {});
});
