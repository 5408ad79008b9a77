import { bay, hoseEnds } from './common';
import { step, within, type AccessSteps } from './write';

const heavy = ['heavy-machine'];

/** Kind 11. */
export const walkBehind: AccessSteps = {
  battery: within(
    [2, 2],
    [
      step('key-out', 'Key out, charger off', 'S', [0.5, 0.3], 'Key in last'),
      step(
        'battery-lid',
        'Battery lid up, cables: minus first',
        'S hex',
        [1.5, 1.7],
        'Cables: plus first, minus last, clamps tight',
        {
          out: ['2 clamp hex: on the battery posts'],
          cautions: ['lead-acid'],
          photo: 'Route of the cables.',
          checks: ['battery-clamps'],
        },
      ),
    ],
  ),
  'tanks-open': within(
    [5, 5],
    [
      step('drain', 'Both tanks drained and rinsed', 'S', [2, 1], 'Drain caps home', { cautions: ['chemicals'] }),
      step(
        'float-housing',
        'Lid up: float housing off, ball free',
        'S cross-2',
        [1, 1.2],
        'Float housing on, ball moves',
        { out: ['3 screw cross-2 short: at the float housing'], checks: ['tanks-lids'] },
      ),
      step('vacuum-screen', 'Vacuum screen out, brushed dry', 'S', [0.5, 0.5], 'Vacuum screen in, dry', {
        cautions: ['motor-stays-dry'],
        checks: ['screen-dry'],
      }),
      step(
        'tank-screws',
        'Screws of the tank out, tank tilted',
        'S cross-2',
        [1.5, 2.3],
        'Tank down on its pins, three screws',
        { out: ['3 screw cross-2 long: through the tank’s rim'], cautions: heavy },
      ),
    ],
  ),
  deck: within(
    [4, 5],
    [
      // What is full spills when it is laid down.
      step(
        'deck-up',
        'Deck unloaded, batteries with caps out first, machine on its side',
        'D',
        [0.5, 0.5],
        'Machine on its wheels',
        {
          cautions: heavy,
          also: ['drain'],
        },
      ),
      step('deck-housing', 'Housing tilted, three screws', 'D cross-2', [1.5, 2], 'Housing down, three screws', {
        out: ['3 screw cross-2 medium: in the housing'],
      }),
      step('plug-and-hoses', 'Plug and both hoses off', 'D', [1, 1.3], 'Plug and both hoses on', {
        photo: 'Route of the front hose under the motor.',
        checks: ['hoses-plugs'],
      }),
      step('deck-belt-cover', 'Belt cover off, belt looked at for cracks', 'D cross-2', [1, 1.2], 'Belt cover on', {
        out: ['2 screw cross-2 short: in the belt cover'],
        checks: ['belt-finger', 'deck-swings'],
      }),
    ],
  ),
  'roll-out': within(
    [1.5, 2],
    [
      step(
        'brush-knob',
        'Set-screw knob up, plate and brush out',
        'D',
        [0.8, 1],
        'Brush on its plate, knob down on the flat',
        { out: ['1 screw: with the knob'], checks: ['brush-locked'], also: ['deck-up'] },
      ),
      step(
        'blades-off',
        'Four blades out: grooves as marked',
        'D',
        [0.7, 1],
        'Blades in: black outside, grey inside, a fresh edge down',
        { photo: 'Which blade was where and which edge was down.', checks: ['blades-as-marked'] },
      ),
    ],
  ),
  head: within(
    [6, 6],
    [
      step('brush-motor-cover', 'Cover of the brush motor off', 'D cross-2', [2.5, 2.5], 'Motor cover on', {
        out: ['4 screw cross-2 medium: in the motor cover'],
      }),
      step('brush-motor-out', 'Brush motor unplugged and out', 'D t25', [3.5, 3.5], 'Brush motor in, plug on', {
        out: ['4 screw t25 medium: at the motor’s flange'],
        photo: 'Colours at the motor.',
        checks: ['motor-spins', 'wires-as-photo'],
      }),
    ],
  ),
  'motor-bay': bay([12, 12], {
    screws: ['6 screw cross-2 medium: round the cover', '2 screw t25 long: at the suction motor'],
    lie: 'S',
    cautions: ['lead-acid', 'motor-stays-dry'],
  }),
};

/** Kind 12. */
export const rideOn: AccessSteps = {
  battery: within(
    [2, 2],
    [
      step('key-out', 'Key out, charger off, wheels chocked', 'S', [0.5, 0.3], 'Chocks away, key in last', {
        cautions: heavy,
      }),
      step(
        'seat-up',
        'Seat up, its stay in, cables: minus first',
        'S hex',
        [1.5, 1.7],
        'Cables: plus first, minus last; seat down on its switch',
        { out: ['2 clamp hex: on the battery posts'], cautions: ['lead-acid'], checks: ['battery-clamps'] },
      ),
    ],
  ),
  'tanks-open': within(
    [6, 5],
    [
      step('drain', 'Recovery tank drained and rinsed, left open', 'S', [3, 1.5], 'Lids on, gaskets whole', {
        cautions: ['chemicals'],
        checks: ['tanks-lids'],
      }),
      step(
        'vac-filter-out',
        'Vacuum filter out, its lid looked at for warp',
        'S',
        [1.5, 1.5],
        'Vacuum filter in dry, lid flat',
        { cautions: ['motor-stays-dry'] },
      ),
      step('valve-cover', 'Valve’s cover off', 'S cross-2', [1.5, 2], 'Valve’s cover on', {
        out: ['2 screw cross-2 short: in the valve’s cover'],
        checks: ['screen-dry'],
      }),
    ],
  ),
  deck: within(
    [6, 7],
    [
      step(
        'deck-down',
        'Deck lowered with the key for a moment, pressure to its lowest',
        'S',
        [0.5, 0.5],
        'Deck up and down once',
        {
          cautions: heavy,
          checks: ['deck-swings'],
        },
      ),
      step('side-skirts', 'Side skirts off', 'S', [1, 1.3], 'Skirts on, floor touched all along', {
        out: ['4 pin: in the skirts'],
        also: ['key-out'],
      }),
      step('belt-covers', 'Both belt covers off, belt dust wiped', 'S t25', [2.5, 3], 'Belt covers on', {
        out: ['4 screw t25 medium: front cover', '4 screw t25 long: rear cover'],
        checks: ['belt-finger'],
      }),
      step('deck-scraped', 'Deck scraped while it is wet', 'S scraper', [2, 2.2], 'Deck rinsed, bearings spun', {
        cautions: ['blades'],
      }),
    ],
  ),
  'roll-out': within(
    [3, 4],
    [
      step('squeegee-off', 'Squeegee off, edges and notch looked at', 'S', [0.8, 1], 'Squeegee in its notch', {
        out: ['2 nut: at the squeegee, by hand'],
      }),
      step(
        'brushes-out',
        'Both brushes out, their lengths noted',
        'S',
        [2.2, 3],
        'Brushes in, turned round if they are uneven',
        {
          photo: 'Length and lie of both brushes.',
          checks: ['brush-locked'],
          stays: 'No brush is left in: it grows fast.',
        },
      ),
    ],
  ),
  head: within(
    [6, 6],
    [
      step('deck-motor-cover', 'Cover of the deck motor off', 'S t25', [2.5, 2.5], 'Motor cover on', {
        out: ['4 screw t25 medium: in the motor cover'],
      }),
      step('deck-motor-out', 'Deck motor unplugged and out', 'S t25', [3.5, 3.5], 'Deck motor in, plug on', {
        out: ['4 screw t25 long: at the motor’s flange'],
        photo: 'Colours at the motor.',
        checks: ['motor-spins', 'wires-as-photo'],
      }),
    ],
  ),
  'motor-bay': bay([12, 12], {
    first: [
      step('panel-screws', 'Panel of the controls tilted', 'S cross-2', [1, 1], 'Panel up, meter seen', {
        out: ['2 screw cross-2 long: under the panel'],
      }),
    ],
    screws: ['6 screw cross-2 medium: round the cover', '3 screw t25 long: at the suction motor'],
    lie: 'S',
    cautions: ['lead-acid', 'motor-stays-dry'],
  }),
};

/** What is full spills when it is laid back. */
const LAID_BACK = ['recovery-off'];

/** Kind 16. */
export const extractor: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('screen-out', 'Intake screen out, brushed dry', 'S', [1, 1], 'Screen in, dry', {
        cautions: ['motor-stays-dry'],
        checks: ['screen-dry'],
      }),
    ],
  ),
  'tanks-open': within(
    [1, 1],
    [
      step('solution-off', 'Solution tank off', 'S', [1, 1], 'Solution tank on its valve', { cautions: ['chemicals'] }),
      step('recovery-off', 'Recovery tank off, float free', 'S', [1, 1], 'Recovery tank on its gasket', {
        checks: ['tanks-lids'],
      }),
    ],
  ),
  'hose-off': hoseEnds,
  'sole-plate': within(
    [2, 2],
    [
      step('shoe-catches', 'Catches of the floor shoe opened, shoe off', 'B pry', [1, 1], 'Shoe on, every catch', {
        out: ['4 screw cross-2 short: in the floor shoe'],
        also: LAID_BACK,
        cautions: ['brittle-plastic'],
        checks: ['shoe-level'],
      }),
    ],
  ),
  deck: within(
    [3, 3],
    [
      step(
        'brush-cover-screws',
        'Screws of the brush cover out',
        'B cross-2',
        [1.5, 1.5],
        'Cover screws started by hand, snug',
        { out: ['3 screw cross-2 medium: in the brush cover'], also: LAID_BACK },
      ),
      step('brush-cover', 'Brush cover off, belt in sight', 'B', [1.5, 1.5], 'Brush cover on, belt runs true', {
        checks: ['belt-tracked'],
      }),
    ],
  ),
  'roll-out': within(
    [2, 2],
    [
      step('brush-arm', 'Brush arm swung out', 'B', [0.8, 0.8], 'Brush arm in', {
        out: ['1 pin: in the brush arm'],
        also: LAID_BACK,
      }),
      step('brush-lift', 'Brush out, ends clean', 'B', [1.2, 1.2], 'Brush in, its drive in the dog', {
        checks: ['brush-locked'],
      }),
    ],
  ),
  head: within(
    [6, 6],
    [
      step('brush-motor-screws', 'Screws of the brush motor out', 'B cross-2', [2.5, 2.5], 'Motor screws in', {
        out: ['3 screw cross-2 long: at the brush motor'],
      }),
      step('brush-motor-out', 'Brush motor unplugged and out', 'B', [3.5, 3.5], 'Brush motor in, plug on', {
        photo: 'Colours at the motor.',
        checks: ['motor-spins', 'wires-as-photo'],
      }),
    ],
  ),
  'motor-bay': bay([12, 12], {
    first: [
      step('tanks-away', 'Tanks off, the rest drained', 'S', [1, 1], 'Tanks on', {
        cautions: ['chemicals'],
        instead: ['solution-off'],
      }),
    ],
    screws: ['8 screw cross-2 medium: round the upper body', '2 screw cross-2 long hidden: under the handle’s foot'],
    lie: 'S',
    cautions: ['earth-first', 'motor-stays-dry'],
  }),
};
