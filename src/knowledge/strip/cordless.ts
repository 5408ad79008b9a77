import { step, within, type AccessSteps } from './write';

/** Kind 9. */
export const stick: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('bin-off', 'Bin off', '-', [1, 1], 'Bin on until it clicks', { checks: ['bin-latched'] }),
      step('cage-out', 'Filter’s cage out of its sock, three clips', '-', [1, 1], 'Sock dry on its cage, clips in', {
        out: ['3 clip: on the filter’s cage'],
        checks: ['filters-clean', 'seals-wiped'],
      }),
    ],
  ),
  'sole-plate': within(
    [0.5, 0.5],
    [
      step('end-cap-quarter', 'End cap of the roll a quarter turn', '- coin', [1, 1], 'End cap a quarter turn home', {
        out: ['1 cap coin: at the end of the roll'],
      }),
    ],
  ),
  'roll-out': within(
    [0.5, 0.7],
    [
      step('roll-slide', 'Roll slid out, guard off', '-', [0.5, 0.7], 'Roll slid in, guard on', {
        checks: ['turned-by-hand'],
      }),
      step('sleeve-look', 'Sleeve off its pin, hair out', '- pick', [0.5, 0.7], 'Sleeve on its pin', {
        checks: ['sleeve-drop', 'roll-clean'],
      }),
    ],
  ),
  head: within(
    [6, 7],
    [
      step('head-screws', 'Screws of the head out, counted', 'U t8', [2, 2.5], 'Four started before any is tightened', {
        out: ['5 screw t8 short: round the head'],
        checks: ['screws-counted'],
        trial: 'Pack in, run for seconds on one screw',
      }),
      step('head-lift', 'Upper half off', 'U pry', [1.5, 1.5], 'Upper half down, no wire between', {
        cautions: ['brittle-plastic'],
        photo: 'Wires of motor and board.',
      }),
      step('head-plugs', 'Plugs off, board and motor out', 'U', [2.5, 3], 'Board in its slots, plugs on', {
        checks: ['wires-as-photo'],
      }),
    ],
  ),
  battery: within(
    [0.5, 0.5],
    [
      step(
        'pack-screws',
        'Two screws and the lower clip of the pack, pried from below',
        '- t8',
        [1, 1],
        'Pack in, clip and two screws',
        {
          out: ['2 screw t8 medium: at the pack', '1 clip: below the pack'],
          cautions: ['lithium-care', 'battery-out-before-opening'],
          checks: ['pack-seated'],
        },
      ),
    ],
  ),
  exhaust: within(
    [0.5, 0.5],
    [
      step('exhaust-foam-out', 'Exhaust foam out', '-', [0.5, 0.5], 'Exhaust foam in', {
        checks: ['exhaust-foam-in'],
      }),
    ],
  ),
  'motor-bay': within(
    [11.5, 11.5],
    [
      step('shroud-clips', 'Six clips of the shroud', '- pry', [1.5, 1.5], 'Shroud on, its big notch forward', {
        out: ['6 clip: round the shroud'],
        checks: ['shroud-notch'],
        cautions: ['brittle-plastic'],
      }),
      step(
        'body-screws',
        'Five screws of the body out, counted',
        '- t8',
        [2, 2],
        'Four started before any is tightened',
        {
          out: ['5 screw t8 short: in the body'],
          checks: ['screws-counted'],
          photo: 'Where the five screws were.',
        },
      ),
      step('cyclone-top', 'Top of the cyclone off, two small clips', '- pry', [1, 1], 'Cyclone top on, both clips', {
        out: ['2 clip: small, on the cyclone'],
        also: ['pack-screws'],
      }),
      step(
        'board-look',
        'Board brushed softly, plugs off',
        '- soft brush',
        [2, 2],
        'Plugs on, wires as on the photograph',
        { photo: 'Board and plugs.', checks: ['wires-as-photo'] },
      ),
      step('bay-motor', 'Motor out of its rubber', '-', [3, 3], 'Motor in its rubber', {
        checks: ['motor-spins'],
        carried: 'The rubber ring, when the new motor comes without one',
        running: ['bare-motor-run'],
        trial: 'Pack in, run for seconds with the covers still off, nothing near the fan',
      }),
    ],
  ),
};

/** Kind 17. */
export const robot: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('bin-out', 'Bin out, its filter tapped out', '-', [1, 1], 'Bin in until it clicks', {
        checks: ['filters-clean', 'bin-latched'],
      }),
    ],
  ),
  'sole-plate': within(
    [0.3, 0.3],
    [step('guard-tabs', 'Two tabs of the roll’s guard pressed, guard off', 'U', [1, 1], 'Guard on, both tabs')],
  ),
  'roll-out': within(
    [0.3, 0.5],
    [
      step('roll-lift', 'Roll out, its square end noted', 'U', [0.2, 0.3], 'Roll in, square end in the drive', {
        photo: 'Which end is square.',
        checks: ['turned-by-hand'],
      }),
      step('caps-off', 'Caps off the roll, hair out', 'U pick', [0.1, 0.2], 'Caps on', {
        out: ['2 cap: on the ends of the roll'],
        checks: ['roll-clean'],
      }),
    ],
  ),
  battery: within(
    [2, 2],
    [
      step('switched-off', 'Switched off before anything is opened', '-', [0.5, 0.3], 'Switched on last', {
        cautions: ['battery-out-before-opening'],
      }),
      step('pack-lid', 'Screws of the battery lid out, pack out', 'U cross-1', [1.5, 1.7], 'Pack in, lid on', {
        out: ['2 screw cross-1 short: in the battery lid'],
        cautions: ['lithium-care'],
        checks: ['pack-seated'],
      }),
    ],
  ),
  head: within(
    [8, 9],
    [
      step('side-brush-off', 'Side brush unscrewed', 'U cross-1', [0.5, 0.5], 'Side brush on', {
        out: ['1 screw cross-1 medium shouldered: in the side brush'],
      }),
      step('bottom-screws', 'Screws of the bottom out', 'U cross-1', [3, 3.5], 'Bottom screws started by hand, snug', {
        out: ['8 screw cross-1 medium: round the bottom', '2 screw cross-1 short: beside the wheels'],
      }),
      step('bottom-off', 'Bottom off', 'U pry', [1.5, 2], 'Bottom on, no wire under it', {
        cautions: ['brittle-plastic'],
        photo: 'Plugs of the modules.',
        checks: ['wheels-spring'],
      }),
      step('modules-out', 'Modules of brush, side brush and wheels unplugged', 'U', [3, 3], 'Modules in, plugs on', {
        photo: 'Which plug goes to which module.',
        checks: ['wires-as-photo'],
      }),
    ],
  ),
  'motor-bay': within(
    [12, 12],
    [
      step('top-cover', 'Top cover off its clips', 'S pry', [2, 2], 'Top cover on, every clip', {
        out: ['6 clip: round the top cover'],
        cautions: ['brittle-plastic'],
        checks: ['sensors-clear'],
      }),
      step('board-plugs', 'Board photographed, plugs off', 'S', [3, 3.5], 'Plugs on as on the photograph', {
        photo: 'Every plug of the board.',
        checks: ['wires-as-photo'],
      }),
      step('board-out', 'Board out', 'S cross-1', [2, 2], 'Board on its posts', {
        out: ['5 screw cross-1 short: in the board'],
      }),
      step('bay-motor', 'Suction motor out of its seal', 'S', [3, 2.5], 'Suction motor in its seal', {
        checks: ['motor-spins'],
      }),
    ],
  ),
};
