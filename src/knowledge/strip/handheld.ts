import { step, within, type AccessSteps } from './write';

/** Kind 10. */
export const handheld: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('cup-off', 'Cup or bag off, filter out', '-', [1, 1], 'Filter in, cup or bag on', {
        checks: ['filters-clean'],
      }),
    ],
  ),
  'sole-plate': within(
    [1, 1],
    [step('nozzle-off', 'Nozzle off, bristle strip slid out', '-', [1, 1], 'Bristle strip in, nozzle on')],
  ),
  'motor-bay': within(
    [7, 7],
    [
      step(
        'brush-caps',
        'Brush caps off, carbon brushes out, each with its end and its way round',
        '- flat-6',
        [1.5, 1.5],
        'Carbon brushes in the way round they came out, caps finger-tight',
        {
          out: ['2 cap flat-6: of the carbon brushes', '2 spring: with the carbon brushes'],
          cautions: ['flying-springs'],
          photo: 'The burnt edge of each carbon brush.',
          checks: ['brush-way-round', 'caps-finger-tight'],
        },
      ),
      step('fan-nut', 'Fan undone clockwise', '- flat-6', [1.5, 1.5], 'Fan on by its left-hand nut, finger-tight', {
        out: ['1 nut hex left: on the fan', '1 washer: under the fan’s nut'],
        cautions: ['left-hand-thread'],
        checks: ['fan-finger-tight'],
        free: true,
      }),
      step('grip-screws', 'Screws of the grip out, switch lifted', '- flat-6', [2, 2], 'Switch in, grip screwed', {
        out: ['3 screw flat-6 medium: in the grip'],
        photo: 'Wires of the switch: line through it, neutral joined.',
        cautions: ['earth-first', 'asbestos-lead-era'],
        checks: ['wires-as-photo'],
        free: true,
      }),
      step(
        'cord-eyelets',
        'Cord out of its grip, eyelets off',
        '- flat-6',
        [1, 1],
        'Eyelets on, sleeve over them, cord in its grip',
        {
          out: ['2 screw flat-6 short: of the terminals'],
          checks: ['grip-holds'],
          free: true,
          also: ['grip-screws'],
        },
      ),
      step('mounts-off', 'Rubber mounts off', '-', [1, 1], 'Rubber mounts on, not twisted', {
        carried: 'A worn mount may be cut from another one: it is written down as improvised.',
        free: true,
        also: ['fan-nut'],
      }),
    ],
  ),
  'motor-out': within(
    [6, 9],
    [
      step(
        'frame-marked',
        'End frames marked before they are parted',
        '- scriber',
        [0.5, 1],
        'Frames together, marks in line',
        { photo: 'The marks on both end frames.', checks: ['frame-marks'] },
      ),
      step(
        'frame-screws',
        'Four screws of the frame out',
        '- flat-6',
        [1.5, 2],
        'Four screws drawn up evenly, spun by hand at each',
        { out: ['4 screw flat-6 long: through the frame'], checks: ['motor-spins'] },
      ),
      step(
        'shims-per-end',
        'Washers and bushes out, each in the cup of its end',
        '-',
        [2, 3],
        'Washers and bushes back on their own end',
        {
          out: ['3 washer: brush end', '2 washer: fan end', '1 bush: brush end', '1 bush: fan end'],
          photo: 'The order of the washers on each end.',
          cautions: ['left-hand-thread'],
          checks: ['shims-per-end', 'least-end-play', 'bushes-greased'],
        },
      ),
      step('armature-out', 'Armature out', '-', [2, 3], 'Armature in, commutator wiped', {
        running: ['bare-motor-run'],
        checks: ['commutator-wiped'],
        trial: 'Clamped, a short run before the switch goes in: good or bad sound',
      }),
    ],
  ),
};
