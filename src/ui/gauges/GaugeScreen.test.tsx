/** @jest-environment jsdom */
import { act, fireEvent, screen } from '@testing-library/react';
import { HEALTHY } from '@/core/air/healthyMachines';
import { gauges } from '@/core/gauges/catalogue';
import { unitFor } from '@/core/units/unitSystem';
import { isAsked } from '@/core/gauges/fields';
import { furnishBrowser, stand } from '../testBench.fixture';
import { GAUGE_SCREENS, OneGauge } from './OneGauge';

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => {} }), usePathname: () => '/gauges' }));
// What is drawn with charts needs a canvas; the answer stands beside it in words.
jest.mock('../parts/Chart', () => ({ Chart: () => null }));

const desk = {
  units: 'metric' as const,
  mainsV: 120,
  today: '2030-03-04',
  zone: 'UTC',
  usual: {},
  instruments: [],
  names: Object.fromEntries(gauges.map((g) => [g.id, g.label])),
};
const settle = () => act(async () => {});
// Those that take long go to a worker, which this browser does not have.
const quick = gauges.filter((g) => !g.heavy);

beforeEach(() => {
  const { answer } = furnishBrowser();
  answer.with = (_method, url) => (url.endsWith('/parts/match') ? [] : { content: null, at: null });
  window.localStorage.clear();
});

test.each(quick.map((g) => [g.id, g] as const))(
  '%s: its worked example fills the form and is answered',
  async (id, g) => {
    stand(<OneGauge name={id} desk={desk} filled={g.example} mayKeepUsual={false} />);
    await settle();
    const told = screen.getByRole('region', { name: 'Result' }).textContent!;
    expect(told.length).toBeGreaterThan(20);
    expect(told).not.toMatch(/NaN|undefined|Infinity|\[object/);
    // Every field has a name that can be heard.
    for (const field of screen.queryAllByRole('textbox'))
      expect(
        field.getAttribute('aria-label') ?? document.querySelector(`label[for="${field.id}"]`)?.textContent,
      ).toBeTruthy();
  },
);

test.each(quick.map((g) => [g.id, g] as const))(
  '%s: nonsense in any field is named there, and nothing is reckoned from it',
  async (id, g) => {
    const typed = Object.entries(g.fields).filter(
      ([name, f]) =>
        isAsked(f, g.example) && (f.sort === 'quantity' || f.sort === 'count') && typeof g.example[name] === 'string',
    );
    for (const [name] of typed.slice(0, 4)) {
      const { unmount } = stand(
        <OneGauge name={id} desk={desk} filled={{ ...g.example, [name]: 'twelve' }} mayKeepUsual={false} />,
      );
      await settle();
      expect(document.querySelectorAll('[aria-invalid="true"]').length).toBeGreaterThan(0);
      expect(screen.queryByRole('region', { name: 'Result' })).toBeNull();
      unmount();
    }
  },
);

test('every gauge has its screen, and none that is no gauge', () =>
  expect(Object.keys(GAUGE_SCREENS)).toEqual(gauges.map((g) => g.id)));

test('the answer follows every key', async () => {
  const belt = gauges.find((g) => g.id === 'belt')!;
  stand(<OneGauge name="belt" desk={desk} filled={belt.example} mayKeepUsual={false} />);
  await settle();
  const before = screen.getByRole('region', { name: 'Result' }).textContent;
  const field = screen.getAllByRole('textbox').find((f) => /^\d/.test((f as HTMLInputElement).value))!;
  fireEvent.change(field, { target: { value: `${Number.parseFloat((field as HTMLInputElement).value) * 1.5}` } });
  await settle();
  expect(screen.getByRole('region', { name: 'Result' }).textContent).not.toBe(before);
});

test('what few know is folded away with its usual values, and comes out when something is wrong there', async () => {
  const belt = gauges.find((g) => g.id === 'belt')!;
  const { unmount } = stand(<OneGauge name="belt" desk={desk} filled={{}} mayKeepUsual={false} />);
  await settle();
  const folded = () => document.querySelector<HTMLDetailsElement>('form details')!;
  expect(folded().open).toBe(false);
  expect(folded().querySelector('summary')!.textContent).toBe('More: stretch wanted 8 %, modulus of the rubber 4 MPa');
  unmount();
  stand(<OneGauge name="belt" desk={desk} filled={{ ...belt.example, modulus: 'soft' }} mayKeepUsual={false} />);
  await settle();
  expect(folded().open).toBe(true);
});

describe('a table of cells', () => {
  const scrubber = gauges.find((g) => g.id === 'scrubber')!;
  const cell = (name: string) => screen.getByRole<HTMLInputElement>('textbox', { name });
  const type = (name: string, value: string) => fireEvent.change(cell(name), { target: { value } });

  test('is filled cell by cell, has a row more, and takes one away', async () => {
    stand(<OneGauge name="scrubber" desk={desk} filled={scrubber.example} mayKeepUsual={false} />);
    await settle();
    expect(cell('Edge in use, row 2').value).toBe('3');
    // Blanks within a name stay, also while it is typed.
    type('Blade, row 3', 'third ');
    expect(cell('Blade, row 3').value).toBe('third ');
    type('Blade, row 3', 'third blade');
    type('Edge in use, row 3', '4');
    await settle();
    const told = () => screen.getByRole('region', { name: 'Result' }).textContent!;
    expect(told()).toContain('third blade: edges left');
    fireEvent.click(screen.getByRole('button', { name: 'Row 3 away' }));
    await settle();
    expect(told()).not.toContain('third blade');
    fireEvent.keyDown(cell('Edge in use, row 1'), { key: 'ArrowDown' });
    expect(document.activeElement).toBe(cell('Edge in use, row 2'));
  });

  test('takes a table pasted from a sheet, and names what is wrong in it', async () => {
    stand(<OneGauge name="scrubber" desk={desk} filled={{ ...scrubber.example, blades: '' }} mayKeepUsual={false} />);
    await settle();
    fireEvent.paste(cell('Blade, row 1'), { clipboardData: { getData: () => 'front\t1\t10 h\nrear\t2\t20 h\n' } });
    await settle();
    expect([cell('Blade, row 2').value, cell('Hours on it, row 2').value]).toEqual(['rear', '20 h']);
    expect(screen.getByRole('region', { name: 'Result' }).textContent).toContain('until rear is done');
    type('Edge in use, row 2', '7');
    await settle();
    expect(screen.getByRole('alert').textContent).toMatch(/Line 2/);
  });
});

test('where to hold what is drawn for what is asked, and told to whoever does not see it', async () => {
  const roll = gauges.find((g) => g.id === 'roll')!;
  const { unmount } = stand(<OneGauge name="roll" desk={desk} filled={roll.example} mayKeepUsual={false} />);
  await settle();
  expect(screen.getByRole('img', { name: /from the sole plate down to the tips/ })).toBeTruthy();
  unmount();
  const supply = gauges.find((g) => g.id === 'supply-and-cord')!;
  stand(
    <OneGauge name="supply-and-cord" desk={desk} filled={{ ...supply.example, asks: 'cord' }} mayKeepUsual={false} />,
  );
  await settle();
  expect(screen.queryByRole('img', { name: /outer contacts/ })).toBeNull();
  fireEvent.click(screen.getByRole('button', { name: 'Is this a supply?' }));
  await settle();
  expect(screen.getByRole('img', { name: /outer contacts/ })).toBeTruthy();
});

describe('every drawing', () => {
  const waysOf = (g: (typeof gauges)[number]): [string, string | null][] =>
    ['asks', 'sort'].flatMap((name) => {
      const field = g.fields[name];
      return field?.sort === 'choice' ? field.options.map((o): [string, string] => [name, o.id]) : [];
    });

  const asked = gauges.flatMap((g) =>
    (waysOf(g).length > 0 ? waysOf(g) : [['', null] as [string, string | null]]).map(
      ([name, id]) => [g.id, id ?? 'as it is', { ...g.example, ...(id === null ? {} : { [name]: id }) }] as const,
    ),
  );
  // Supply without the head, a log, a run and air power are measured at no place of their own.
  const PLAIN = ['log', 'run-time', 'power'];

  test.each(asked)('of %s, %s, names only fields that are asked then', async (name, way, filled) => {
    stand(<OneGauge name={name} desk={desk} filled={filled} mayKeepUsual={false} />);
    await settle();
    const places = [...document.querySelectorAll<SVGElement>('[data-place]')].map((p) => p.dataset.place!);
    expect(places.length > 0).toBe(!PLAIN.includes(way));
    for (const place of places)
      expect([place, document.querySelector(`[data-field="${place}"]`) !== null]).toEqual([place, true]);
  });

  test.each(Object.entries(HEALTHY).map(([sort, h]) => [sort, h.label]))(
    'where to hold the manometer is drawn on the sort of machine it is: %s',
    async (machine) => {
      const air = gauges.find((g) => g.id === 'air-path')!;
      const filled = { ...air.example, asks: 'clog', machine };
      const { unmount } = stand(<OneGauge name="air-path" desk={desk} filled={filled} mayKeepUsual={false} />);
      await settle();
      const held = [...document.querySelectorAll<SVGElement>('[data-place]')].map((p) => p.dataset.place);
      expect(held).toEqual(['open0', 'open1', 'open2', 'open3', 'open4']);
      const said = screen.getByRole('img', { name: /^Stations from the floor/ }).getAttribute('aria-label')!;
      // Each sort in words of its own, and the one that holds water with its warning.
      expect(/recovery tank.*nothing wet goes into the manometer/.test(said)).toBe(machine === 'wet');
      expect(/canister’s inlet/.test(said)).toBe(machine === 'canister');
      unmount();
    },
  );

  test('what was chosen stands there in the words of the field, not by its short name', async () => {
    const safety = gauges.find((g) => g.id === 'safety-test')!;
    const filled = { ...safety.example, visual: 'not-done' };
    stand(<OneGauge name="safety-test" desk={desk} filled={filled} mayKeepUsual={false} />);
    await settle();
    expect(document.querySelector('[data-place="visual"]')!.textContent).toBe('1 looked overNot yet');
  });

  test.each(gauges.map((g) => [g.id, g] as const))('of %s: a name with its unit fits into its field', (_id, g) => {
    // Some thirty letters at 1280 and on a phone; what is cut off is not read.
    for (const field of Object.values(g.fields)) {
      const unit = field.sort === 'quantity' ? (field.unit ?? unitFor(field.quantity, 'metric')) : '';
      if (field.sort === 'quantity' || field.sort === 'count') {
        const name = unit ? `${field.label}, ${unit}` : field.label;
        expect([name, name.length <= 32]).toEqual([name, true]);
      }
    }
  });

  test('what is typed stands at its place; the place of the field at hand is marked, and leads to it', async () => {
    const belt = gauges.find((g) => g.id === 'belt')!;
    stand(<OneGauge name="belt" desk={desk} filled={{ ...belt.example, centre: '150 mm' }} mayKeepUsual={false} />);
    await settle();
    const place = (field: string) => document.querySelector<SVGElement>(`[data-place="${field}"]`)!;
    expect(place('centre').textContent).toBe('centre150 mm');
    fireEvent.change(screen.getByLabelText('Centre distance, mm'), { target: { value: '162' } });
    expect(place('centre').textContent).toBe('centre162');
    fireEvent.click(place('drive'));
    const shaft = screen.getByLabelText('Drive shaft or pulley, mm');
    expect(document.activeElement).toBe(shaft);
    fireEvent.focus(shaft);
    await settle();
    expect([place('drive').dataset.at, place('centre').dataset.at]).toEqual(['', undefined]);
  });
});

test('the shop’s instruments are offered, and one whose calibration ran out is asked for', async () => {
  const safety = gauges.find((g) => g.id === 'safety-test')!;
  const card = { name: 'Safety tester', goodToPercent: 3, dueOn: '2029-01-01' };
  stand(
    <OneGauge
      name="safety-test"
      desk={{ ...desk, instruments: [card] }}
      filled={{ ...safety.example, touch: '0.1 mA', instrument: 'safety tester' }}
      mayKeepUsual={false}
    />,
  );
  await settle();
  const list = screen.getByLabelText('With which instrument').getAttribute('list')!;
  expect([...document.getElementById(list)!.querySelectorAll('option')].map((o) => o.value)).toEqual(['Safety tester']);
  expect(screen.getByRole('region', { name: 'Result' }).textContent).toMatch(/calibration of Safety tester ran out/);
});
