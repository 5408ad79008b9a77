import { bay, filterLid, headHalves, hoseEnds } from './common';
import { step, within, type AccessSteps } from './write';

/** Kind 7. */
export const canister: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('bag-door', 'Bag door open, bag out', 'S', [1, 1], 'Bag on its collar, door shut without force', {
        checks: ['bin-latched'],
      }),
      step('filter-out', 'Filters out', 'S', [1, 1], 'Filters in, dry', { checks: ['filters-clean'] }),
    ],
  ),
  'hose-off': hoseEnds,
  'sole-plate': within(
    [3, 3.5],
    [
      step(
        'nozzle-lead',
        'Nozzle off the wand, on the test lead',
        '-',
        [0.5, 0.5],
        'Nozzle on the wand until it clicks',
        { cautions: ['live-measurement'] },
      ),
      step(
        'nozzle-screws',
        'Screws of the nozzle cover out',
        'U cross-2',
        [1.5, 1.7],
        'Cover screws started by hand, snug',
        {
          out: ['4 screw cross-2 medium: at the corners of the base', '2 screw cross-2 short: beside the roll'],
        },
      ),
      step('nozzle-cover', 'Cover off, its clips one after another', 'U pry', [1, 1.3], 'Cover on, every clip', {
        out: ['2 clip: at the rear of the cover'],
        cautions: ['brittle-plastic'],
        photo: 'String, hair, heat marks, cracks of the base.',
        checks: ['base-whole'],
      }),
    ],
  ),
  'roll-out': within(
    [2, 3],
    [
      step('roll-lift', 'Roll out, both ends together', 'U', [1, 1.4], 'Roll in, both blocks in their notches', {
        checks: ['caps-in-notch', 'belt-tracked'],
      }),
      step('belt-off-sprocket', 'Toothed belt off the sprocket', 'U', [0.5, 1], 'Belt in the teeth of both sprockets'),
      step('caps-off', 'End blocks off', 'U', [0.5, 0.6], 'End blocks on', {
        out: ['2 block: on the ends of the roll'],
        checks: ['roll-clean'],
      }),
    ],
  ),
  head: headHalves(['4 screw cross-2 medium: round the base', '1 screw cross-1 short: on the breaker’s holder'], {
    lamp: true,
    checks: ['base-whole'],
  }),
  handle: within(
    [4, 4],
    [
      step('handle-screws', 'Screws of the grip out', '- cross-1', [2, 2], 'Grip screws started by hand, snug', {
        out: ['3 screw cross-1 short: in the grip'],
      }),
      step('grip-halves', 'Grip halves apart', '-', [1, 1], 'Halves shut, no wire between', {
        photo: 'Wires of the switch, which goes to the hose.',
      }),
      step('grip-switch', 'Switch lifted out', '-', [1, 1], 'Switch in its seat', {
        checks: ['wires-as-photo'],
        cautions: ['electrified-hose'],
      }),
    ],
  ),
  'motor-bay': bay([10, 10], {
    first: [
      step('bag-out', 'Bag and its holder out', 'S', [0.5, 0.5], 'Bag holder and bag in', {
        checks: ['bin-latched'],
        instead: ['bag-door'],
      }),
    ],
    screws: ['5 screw cross-2 medium: round the upper body', '1 screw cross-2 long hidden: under the hose’s socket'],
    lie: 'S',
  }),
};

/** Kind 8. */
export const turbine: AccessSteps = {
  'hose-off': hoseEnds,
  'sole-plate': within(
    [1.5, 2],
    [
      step('guard-off', 'Furniture guard stretched off', 'U', [0.5, 0.8], 'Guard on', {
        checks: ['guard-back'],
      }),
      step(
        'plate-screws',
        'Screws of the bottom plate out',
        'U cross-2',
        [0.6, 0.7],
        'Plate screws started by hand, snug',
        { out: ['3 screw cross-2 short: in the bottom plate'] },
      ),
      step('plate-lift', 'Bottom plate off', 'U', [0.4, 0.5], 'Bottom plate on'),
    ],
  ),
  'roll-out': within(
    [2, 3],
    [
      step(
        'right-cap-off',
        'Right cap off by its mark, core off its shaft',
        'U',
        [0.7, 1],
        'Right cap on by its mark, arrow to the rear',
        { out: ['1 cap: right'], checks: ['caps-in-notch'] },
      ),
      step('roll-lift', 'Roll out', 'U', [0.5, 0.8], 'Roll in', {
        checks: ['roll-clean', 'belt-tracked'],
        stays: 'The left cap is fixed: it is not forced.',
      }),
      step(
        'belt-inside-out',
        'Belt turned inside out and off, its half twist drawn',
        'U',
        [0.8, 1.2],
        'Belt on with its drawn half twist',
        {
          photo: 'Which way the belt is twisted.',
          checks: ['twist-right'],
        },
      ),
    ],
  ),
  head: within(
    [3, 4],
    [
      step('cover-latches', 'Latches of the turbine cover opened', 'S pick', [1, 1.2], 'Latches shut', {
        cautions: ['brittle-plastic'],
      }),
      step(
        'turbine-cover',
        'Cover off, its seal whole',
        'S',
        [0.5, 1.3],
        'Cover’s lip under the metal, pressed down all along',
        { checks: ['cover-under-lip'] },
      ),
      step('turbine-free', 'Turbine freed with a pick', 'S pick', [1.5, 1.5], 'Turbine in its bearings', {
        checks: ['turbine-free'],
      }),
    ],
  ),
};

/** Kind 14. */
export const backpack: AccessSteps = {
  'filter-bay': filterLid(),
  'hose-off': hoseEnds,
  'sole-plate': within([0.5, 0.5], [step('tool-off', 'Floor tool off the wand', '-', [1, 1], 'Floor tool on')]),
  'motor-bay': bay([10, 10], {
    first: [
      step('harness-off', 'Harness and back frame off', 'S cross-2', [1.5, 1.5], 'Back frame on, straps not twisted', {
        out: ['4 screw cross-2 long: through the back frame'],
        checks: ['strap-frame'],
      }),
    ],
    screws: ['4 screw cross-2 medium: round the motor’s end'],
    lie: 'D',
  }),
};

/** Kind 15. */
export const tub: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step(
        'head-latches',
        'Two latches opened, head off the drum',
        'S',
        [1, 1],
        'Head on its seal all round, both latches',
        { checks: ['drum-sits'] },
      ),
      step(
        'sleeve-off',
        'Foam sleeve and filter off the cage, float free',
        'U',
        [1, 1],
        'Float free, sleeve for wet or filter for dry',
        { checks: ['filters-clean'], cautions: ['motor-stays-dry'] },
      ),
    ],
  ),
  'hose-off': hoseEnds,
  'sole-plate': within([0.5, 0.5], [step('tool-off', 'Floor tool off the wand', '-', [1, 1], 'Floor tool on')]),
  'motor-bay': bay([10, 10], {
    first: [
      step('float-cage', 'Float cage off', 'U cross-1', [1, 1], 'Float cage on, float moves', {
        also: ['sleeve-off'],
        out: ['3 screw cross-1 short: at the float cage'],
      }),
    ],
    screws: ['6 screw cross-2 long: through the head', '2 screw cross-2 medium hidden: under the handle'],
    lie: 'S',
    cautions: ['earth-first', 'motor-stays-dry'],
  }),
};
