import { step, within, type StepText } from './write';

/** Ways in that many kinds share. Common practice, no source. */

export const filterLid = (whole: [number, number] = [0.5, 0.5]): StepText[] =>
  within(whole, [
    step('filter-lid', 'Filter lid or bin off', 'S', [1, 1], 'Lid home all round, latch shut', {
      checks: ['bin-latched'],
    }),
    step('filter-out', 'Filters out, which side was up noted', 'S', [1, 1], 'Filters in, dry, the same side up', {
      photo: 'The filters as they lay: black on the motor side is carbon dust.',
      checks: ['filters-clean', 'seals-wiped'],
    }),
  ]);

export const hoseEnds: StepText[] = within(
  [1, 1],
  [
    step('hose-machine-end', 'Hose off at the machine', '-', [1, 1], 'Hose on at the machine, turned home'),
    step('hose-far-end', 'Hose off at its far end, looked through', '-', [1, 1], 'Hose on at its far end', {
      checks: ['hose-clear'],
      cautions: ['electrified-hose'],
    }),
  ],
);

/** A roll on caps in notches with its belt round it: the belt goes on the shaft first, the far end of the roll in last. */
export const rollWithBelt = (whole: [number, number], more: { height?: true; numbers?: true } = {}): StepText[] =>
  within(whole, [
    step(
      'roll-lift',
      'Roll out: free end first, belt slipped off it',
      'B',
      [3, 4],
      'Roll in: belted end first, far end pulled into its notch against the belt',
      {
        photo: 'Which way round the caps stand in their notches.',
        checks: [
          more.numbers ? 'caps-same-number' : 'caps-in-notch',
          'belt-tracked',
          ...(more.height ? ['bristles-proud'] : []),
        ],
      },
    ),
    step(
      'belt-off-shaft',
      'Old belt off the shaft',
      'B',
      [1, 2],
      'Belt on the smooth part of the shaft, then round the roll',
      {
        checks: ['shaft-wiped'],
        cautions: ['solvents'],
      },
    ),
    step('caps-off', 'End caps off, left and right kept apart', 'B', [2, 2], 'Caps on, each on its own end', {
      out: ['2 cap: on the ends of the roll, left and right differ'],
      checks: ['roll-clean'],
    }),
  ]);

/** A roll with a toothed belt on a sprocket. */
export const rollToothed = (whole: [number, number]): StepText[] =>
  within(whole, [
    step('roll-lift', 'Roll out, end caps with it', 'B', [3, 4], 'Roll in, both caps in their notches', {
      photo: 'Which way round the caps stand in their notches.',
      checks: ['caps-in-notch', 'belt-tracked'],
    }),
    step(
      'belt-off-sprocket',
      'Toothed belt off the motor sprocket',
      'B',
      [1, 2],
      'Belt in the teeth of both sprockets, not on a flange',
    ),
    step('caps-off', 'End caps off, left and right kept apart', 'B', [2, 2], 'Caps on, each on its own end', {
      out: ['2 cap: on the ends of the roll, left and right differ'],
      checks: ['roll-clean'],
    }),
  ]);

export interface Bay {
  /** What is lifted off before the screws are reached, and put back last. */
  first?: StepText[];
  screws: string[];
  stays?: string;
  /** How it lies while the cover is unscrewed. */
  lie?: 'S' | 'B' | 'D';
  tool?: string;
  /** Labels of what is special about the motor’s place. */
  motorBack?: string;
  carried?: string;
  checks?: string[];
  trial?: string;
  cautions?: string[];
}

/** A motor behind a screwed cover: photograph, plugs, motor. */
export const bay = (whole: [number, number], b: Bay): StepText[] =>
  within(whole, [
    ...(b.first ?? []),
    step(
      'bay-screws',
      'Screws of the motor cover out, counted',
      `${b.lie ?? 'D'} ${b.tool ?? 'cross-2'}`,
      [2.5, 2.5],
      'Cover screws: all started by hand, then snug, not tight',
      {
        out: b.screws,
        ...(b.stays ? { stays: b.stays } : {}),
        trial: b.trial ?? 'Run for seconds on one screw before the rest go in: sound, smell, no spark',
      },
    ),
    step(
      'bay-cover',
      'Motor cover eased off, its lip last',
      `${b.lie ?? 'D'} pry`,
      [1.5, 1.5],
      'Cover’s lip in first, no gap, no wire under it',
      {
        cautions: ['brittle-plastic'],
        checks: ['cord-clear'],
      },
    ),
    step(
      'bay-wires',
      'Wires photographed, plugs pulled by their bodies',
      b.lie ?? 'D',
      [1.5, 2],
      'Plugs on as on the photograph, wires in their holders',
      {
        photo: 'Colours, route and holders of every wire.',
        out: ['1 wire-nut: on the neutral, if there is one'],
        checks: ['wires-as-photo'],
        cautions: b.cautions ?? ['earth-first'],
      },
    ),
    step(
      'bay-grip',
      'Cord grip opened, cord drawn a hand’s width',
      `${b.lie ?? 'D'} cross-1`,
      [1, 1],
      'Cord in its grip, its loop outside the clamp',
      {
        out: ['2 screw cross-1 short: at the cord grip'],
        checks: ['grip-holds'],
        free: true,
        also: ['bay-cover'],
      },
    ),
    step(
      'bay-motor',
      'Motor lifted out with its seals and mounts',
      b.lie ?? 'D',
      [3.5, 3],
      b.motorBack ?? 'Motor in, seals whole, mounts not twisted',
      {
        photo: 'How the motor and its seals lie.',
        carried: b.carried ?? 'The seal and mounts, when the new motor comes without them',
        checks: ['motor-spins', ...(b.checks ?? [])],
      },
    ),
  ]);

/** A head that opens into halves, with its motor, board or switch inside. */
export const headHalves = (out: string[], more: { hidden?: string; lamp?: true; checks?: string[] } = {}): StepText[] =>
  within(
    [6, 7],
    [
      step(
        'head-screws',
        'Screws of the head out, the hidden one last',
        'U cross-2',
        [2, 2.5],
        'Head screws: all started by hand, then snug',
        {
          out,
          ...(more.hidden ? { stays: more.hidden } : {}),
          trial: 'Run for seconds on one screw, the roll free: then the rest go in',
        },
      ),
      step(
        'head-lift',
        'Upper half lifted, wires followed with the eye',
        'U pry',
        [1.5, 1.5],
        'Upper half down, no wire between the halves',
        {
          photo: 'Wires in their channel, plugs, which colour goes where.',
          cautions: ['brittle-plastic'],
          checks: more.lamp ? ['wires-in-channel'] : [],
        },
      ),
      step('head-plugs', 'Plugs of motor, board and lamp off', 'U', [1, 1.5], 'Plugs on, each tugged once', {
        checks: more.lamp ? ['lamp-plug'] : ['wires-as-photo'],
      }),
      step('head-motor', 'Brush motor out of its cradle', 'U', [1.5, 1.5], 'Motor in its cradle, its pins in', {
        checks: ['motor-spins', ...(more.checks ?? [])],
      }),
    ],
  );
