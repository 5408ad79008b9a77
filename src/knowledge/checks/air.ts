import type { AspectText, CheckText } from '../assemble';
import { aspect, check, either, outcome } from '../write';

function vacuumAt(condition: string, label: string, onlyWith?: string[]): AspectText {
  return {
    id: condition,
    label,
    condition,
    ...(onlyWith ? { onlyWith } : {}),
    outcomes: [
      { id: `${condition}-good`, label: 'good' },
      { id: `${condition}-weak`, label: 'weak' },
      { id: `${condition}-none`, label: 'next to none' },
    ],
    reading: {
      quantity: 'pressure',
      unit: 'kPa',
      relativeTo: 'healthyVacuumKpa',
      min: 0,
      max: 2,
      classes: [
        { outcome: `${condition}-good`, scatter: { shape: 'normal', mean: 1, sd: 0.09 } },
        { outcome: `${condition}-weak`, scatter: { shape: 'uniform', from: 0.2, to: 0.88 } },
        { outcome: `${condition}-none`, scatter: { shape: 'uniform', from: -0.01, to: 0.2 } },
      ],
      basis: 'common practice, no source',
    },
  };
}

/** The air line: bin and filters first, then the path is split. Minutes: common practice, no source. */
export const airChecks: CheckText[] = [
  check(
    ['bag-or-bin', 'Bag or bin', 0.3, 'outside'],
    [
      '{~bin:Look at the line on the bin. }{drum:Look how high it stands in the drum. }{~bag:Feel the bag: full, or dense?}',
      '{~bag:Is a bag in at all?|What is packed above the line counts too.}',
      'Empty it before anything else is judged.',
    ],
    [
      aspect('fill', 'Fill', [
        outcome('below-line', 'below the line'),
        outcome('over-full', 'over full', { proves: 'bag-or-bin-full', resets: true, leak: 0.05 }),
        outcome('bag-clogged', 'not full, but dense', { proves: 'bag-clogged' }),
        outcome('bag-missing', 'bag missing', { proves: 'bag-missing', leak: 0.002 }),
      ]),
    ],
    { putsRight: ['bag-or-bin-full'] },
  ),
  check(
    ['filter-look', 'Pre-motor filter', 1, 'filter-bay'],
    [
      'Filter out, against the light.',
      'A green light on the machine proves nothing.',
      'Squeeze the foam: damp, grit, crumbs.',
    ],
    [
      aspect('filter', 'Filter', [
        outcome('filter-clean', 'clean'),
        outcome('filter-grey', 'grey', { proves: 'filter-dirty', leak: 0.15 }),
        outcome('filter-damp', 'damp', { leak: 0.02 }),
        outcome('filter-caked', 'caked', { proves: 'filter-clogged', leak: 0.02 }),
        outcome('filter-torn', 'torn', { proves: 'pre-filter-disintegrated', leak: 0.003 }),
        outcome('filter-disintegrated', 'falling apart', { proves: 'pre-filter-disintegrated', leak: 0.002 }),
      ]),
      aspect('felt', 'Felt behind it', [
        outcome('felt-clean', 'clean'),
        outcome('felt-caked', 'caked', { proves: 'felt-clogged' }),
      ]),
    ],
    { cautions: ['mould-dust'] },
  ),
  check(
    ['exhaust-filter-look', 'Exhaust filter', 1, 'outside'],
    [
      'Filter out, look at both sides.',
      'Black on the motor side is carbon, not failure.',
      'Grey and heavy all through is clogged.',
    ],
    [
      aspect('exhaust', 'Filter', [
        outcome('exhaust-fine', 'fine'),
        outcome('exhaust-clogged', 'clogged', { proves: 'exhaust-filter-clogged', leak: 0.01 }),
        outcome('exhaust-apart', 'falling apart', { proves: 'exhaust-filter-apart', leak: 0.002 }),
      ]),
    ],
    { cautions: ['mould-dust'] },
  ),
  check(
    ['inlet-vacuum', 'Sealed vacuum', 3, 'outside'],
    [
      'Manometer sealed on the machine’s own inlet{hose:, hose off}: read.',
      'Add {hose:the hose, then }{wand:the wand, then }the {squeegee-blades:squeegee|head}: read {hose/wand:each|again}.',
      'The piece that loses it holds the clog or the leak.',
    ],
    [
      vacuumAt('machine', 'At the machine'),
      vacuumAt('hose', 'With the hose', ['hose']),
      vacuumAt('wand', 'With the wand', ['wand']),
      vacuumAt('head', 'At the head', ['head-mouth', 'squeegee-blades']),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
  check(
    ['hose-drop', 'Drop through the hose', 1, 'hose-off'],
    [
      'Hose off at both ends.',
      'Drop a coin-sized blunt object through, then look to the light.',
      'Blunt rod only in a plain hose, never in one with wires.',
    ],
    [either('hose', 'Hose', ['falls-through', 'falls through'], ['held', 'held', 'hose-clogged'], 0.005)],
    { cautions: ['electrified-hose'] },
  ),
  check(
    ['wand-look', 'Look through the wand', 1, 'outside'],
    ['Wand out at both ends.', 'Look to the light, or drop the blunt object.', 'Push back the way it came.'],
    [either('wand', 'Wand', ['wand-clear', 'clear'], ['wand-blocked', 'blocked', 'wand-clogged'], 0.005)],
  ),
  check(
    ['head-duct-look', 'Duct behind the roll', 1, 'sole-plate'],
    [
      'Sole plate off, lamp into the duct.',
      'Finger or hook pick round the bend.',
      'The tip of the internal hose is easily torn.',
    ],
    [
      aspect('duct', 'Duct', [
        outcome('duct-clear', 'clear'),
        outcome('duct-blocked', 'blocked', { proves: 'head-duct-clogged' }),
      ]),
    ],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['hose-split', 'Hose and handle for splits', 1, 'outside'],
    [
      'Stretch the hose, turn it in the light.',
      'Cuffs and handle joints too.',
      'Palm over the end: listen for the hiss.',
    ],
    [
      either('hose', 'Hose', ['fine', 'fine'], ['fault', 'split', 'hose-split'], 0.005),
      either('handle', 'Handle', ['handle-sound', 'sound'], ['handle-cracked', 'cracked', 'handle-cracked'], 0.005),
    ],
  ),
  check(
    ['neck-hose-split', 'Neck hose', 1, 'sole-plate'],
    [
      'Plate off, bend the neck both ways.',
      'Look into every fold of the neck hose.',
      'A split opens only when it is bent.',
    ],
    [either('neck', 'Neck hose', ['fine', 'fine'], ['fault', 'split', 'neck-hose-split'], 0.005)],
    { cautions: ['unplug-before-opening'] },
  ),
  check(
    ['seal-look', 'Seals and gaskets', 1, 'filter-bay'],
    [
      'Look at {~bin:bin lid, }{~bag:bag door, }{lid-gasket/drum-seal/tank-gasket:lid, }filter door and motor seal.',
      'Flat, clean, all round, no dust tracks across.',
      'A dust track is a leak.',
    ],
    [
      either('seal', 'Motor seal', ['fine', 'fine'], ['fault', 'leaks', 'seal-leaking'], 0.005),
      either(
        'bin-gasket',
        'Bin gasket',
        ['bin-gasket-fine', 'fine'],
        ['bin-gasket-fault', 'leaks', 'bin-gasket-leaking'],
        0.005,
      ),
      either('bag-door', 'Bag door', ['bag-door-fine', 'fine'], ['bag-door-fault', 'leaks', 'bag-door-leak'], 0.005),
    ],
  ),
  check(
    ['cyclone-look', 'Mesh or cyclone', 6, 'filter-bay'],
    [
      'Bin apart{shroud-mesh:, shroud off}.',
      '{~cyclone:Look through every cone, brush the mesh.|Brush the mesh, look through it against the light.}',
      'Fine dust past it ends in the filter.',
    ],
    [
      aspect('cyclone', 'Mesh or cones', [
        outcome('cyclone-clear', 'clear'),
        outcome('cyclone-some', 'some plugged', { proves: 'cones-some-plugged', leak: 0.03 }),
        outcome('cyclone-matted', 'matted', { proves: 'cyclone-plugged', leak: 0.01 }),
      ]),
      either('mesh', 'Shroud', ['mesh-open', 'open'], ['mesh-matted', 'matted', 'mesh-matted'], 0.005),
    ],
    { cautions: ['mould-dust', 'brittle-plastic'] },
  ),
  check(
    ['changeover-look', 'Change-over flap', 1, 'hose-off'],
    [
      'Work the knob from floor to hose.',
      'Look that the flap shuts fully both ways.',
      'Grit on its seat is a leak at the floor.',
    ],
    [
      aspect('flap', 'Flap', [
        outcome('flap-shuts', 'shuts'),
        outcome('flap-leaks', 'hangs or leaks', { proves: 'changeover-leaking' }),
      ]),
    ],
  ),
  check(
    ['trip-time', 'Time to cut-out', 10, 'outside'],
    [
      'Stay with it: run it on the bench, head off the floor.',
      'Minutes until it cuts out; stop at 15.',
      'A short time means little cooling air.',
    ],
    [
      aspect(
        'trip',
        'Runs for',
        [
          outcome('trip-none', 'does not trip'),
          outcome('trip-late', 'trips late', { leak: 0.01 }),
          outcome('trip-early', 'trips early', { leak: 0.005 }),
        ],
        {
          reading: {
            quantity: 'time',
            unit: 'min',
            min: 0,
            max: 120,
            classes: [
              { outcome: 'trip-none', scatter: { shape: 'uniform', from: 14.5, to: 40 } },
              { outcome: 'trip-late', scatter: { shape: 'uniform', from: 5, to: 14.5 } },
              { outcome: 'trip-early', scatter: { shape: 'uniform', from: 0.2, to: 5 } },
            ],
            basis: 'common practice, no source',
          },
        },
      ),
    ],
    { power: 'yes', spinsRoll: true, cautions: ['roll-free-before-power'] },
  ),
];
