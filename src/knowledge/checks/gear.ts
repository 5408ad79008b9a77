import type { CheckText } from '../assemble';
import { aspect, check, either, look, outcome, ranges } from '../write';

const PLUG_OUT = ['unplug-before-opening'];

/** Clutch, wheels, turbine, decks. Minutes: common practice, no source. */
export const gearChecks: CheckText[] = [
  check(
    ['second-belt-and-clutch', 'First belt and its pulleys', 6, 'clutch'],
    [
      'Plug out, {clutch-pulleys:clutch|belt} side open, note how both belts run.',
      'Turn each pulley by hand: free, stiff, melted?',
      'Is the first belt whole, the spindle’s track unworn?',
    ],
    [
      aspect('belt', 'First belt', [
        outcome('primary-whole', 'whole'),
        outcome('primary-stretched', 'stretched or glazed', { proves: 'primary-belt-stretched', leak: 0.01 }),
        outcome('primary-gone', 'broken or off', { proves: 'primary-belt-broken', leak: 0.003 }),
      ]),
      aspect('pulleys', 'Pulleys', [
        outcome('pulley-free', 'free'),
        outcome('pulley-stiff', 'stiff', { proves: 'clutch-worn-or-melted', leak: 0.005 }),
        outcome('pulley-melted', 'melted or black', { proves: 'clutch-worn-or-melted', leak: 0.003 }),
      ]),
      either('spindle', 'Spindle', ['spindle-good', 'good'], ['spindle-worn', 'worn', 'spindle-worn'], 0.003),
    ],
    { cautions: [...PLUG_OUT, 'brittle-plastic'] },
  ),
  check(
    ['clutch-arm-look', 'Clutch arm and setting', 0.5, 'outside'],
    [
      'Work the clutch button and lean the handle back and up.',
      'The arm must follow both ways.',
      'Left off after cleaning is the commonest.',
    ],
    [
      aspect('arm', 'Arm', [
        outcome('arm-follows', 'follows'),
        outcome('arm-off', 'left off', { proves: 'clutch-left-off', leak: 0.004 }),
        outcome('arm-stuck', 'stays engaged', { proves: 'clutch-stuck-engaged', leak: 0.003 }),
      ]),
    ],
  ),
  check(
    ['plate-float-look', 'Floating plate', 1, 'outside'],
    [
      'Machine on its back, plug out.',
      'Press the plate in at both ends: it must float and come back.',
      'The spring hose must push it down.',
    ],
    [
      aspect('plate', 'Plate', [
        outcome('plate-floats', 'floats'),
        outcome('spring-hose-weak', 'not pressed down', { proves: 'plate-spring-hose-weak', leak: 0.004 }),
        outcome('plate-stuck', 'stuck', { proves: 'floating-plate-stuck', leak: 0.004 }),
      ]),
    ],
    { cautions: PLUG_OUT },
  ),
  look(
    ['belt-lifter-look', 'Belt lifter', 0.3, 'outside'],
    ['Look where the lifter points.', 'Turn it to carpet until it clicks.', 'The belt must sit on shaft and roll.'],
    ['lifter-on', 'on carpet'],
    ['lifter-off', 'holds the belt off', 'belt-lifter-stuck'],
  ),
  check(
    ['drive-clicks', 'Drive it and listen', 1, 'outside'],
    ['Belt lifter off, room in front.', 'Drive forward and back over two metres.', 'Clicks come from the gears.'],
    [aspect('sound', 'Drive', [outcome('drive-quiet', 'quiet'), outcome('drive-clicks', 'clicks', { leak: 0.02 })])],
    { power: 'yes' },
  ),
  look(
    ['drive-neutral-free', 'Neutral, motor running', 1, 'outside'],
    ['Motor on, pedal in drive, hands off the handle.', 'It must stand.', 'Creeping is the neutral.'],
    ['stands', 'stands'],
    ['drags', 'creeps', 'neutral-out'],
    { power: 'yes' },
  ),
  check(
    ['pedal-engages', 'Pedal engages both ways', 1, 'outside'],
    ['Work the pedal: neutral, drive.', 'Push and pull lightly.', 'It must take both ways at once.'],
    [
      aspect('drive', 'It takes', [
        outcome('engages-both', 'both ways'),
        outcome('engages-late', 'late', { leak: 0.02 }),
        outcome('engages-one-way', 'one way only', { leak: 0.004 }),
        outcome('engages-none', 'not at all', { leak: 0.004 }),
      ]),
      either(
        'pedal',
        'Pedal',
        ['pedal-moves', 'moves freely'],
        ['pedal-catches', 'catches', 'drive-pedal-bent'],
        0.004,
      ),
    ],
    { power: 'yes' },
  ),
  check(
    ['transmission-look', 'Transmission open', 5, 'transmission'],
    [
      'Plug out, transmission out, on a tray.',
      'Teeth, drive belt, sprocket, shift arm in its fork.',
      'Old grease hides chips: wipe and look.',
    ],
    [
      either('arm', 'Shift arm', ['arm-joined', 'joined'], ['arm-loose', 'not joined', 'shift-arm-not-joined'], 0.003),
      either(
        'belt',
        'Drive belt',
        ['drive-belt-whole', 'whole'],
        ['drive-belt-broken', 'worn or broken', 'drive-belt-worn'],
        0.003,
      ),
      either(
        'sprocket',
        'Sprocket',
        ['sprocket-good', 'good'],
        ['sprocket-worn', 'worn', 'drive-sprocket-worn'],
        0.003,
      ),
      either('gears', 'Gears', ['gears-good', 'good'], ['gears-worn', 'worn or chipped', 'transmission-worn'], 0.003),
    ],
    { cautions: [...PLUG_OUT, 'soft-metal', 'magnesium'] },
  ),
  check(
    ['turbine-look', 'Turbine', 2, 'head'],
    [
      'Hose off the wall, head open.',
      'Turn the turbine with a finger; look between its blades.',
      'Lift it: it may not wobble.',
    ],
    [
      either('way', 'Blades', ['turbine-free', 'clear'], ['turbine-blocked', 'jammed', 'turbine-jammed'], 0.003),
      either(
        'shaft',
        'Shaft',
        ['turbine-runs-true', 'runs true'],
        ['turbine-wobbles', 'wobbles', 'turbine-shaft-worn'],
        0.003,
      ),
    ],
  ),
  look(
    ['turbine-cover', 'Turbine cover seal', 1, 'head'],
    ['Look all round the seal of the cover.', 'Dust tracks across it are a leak.', 'It must lie in its groove.'],
    ['cover-tight', 'tight'],
    ['cover-leaks', 'leaks', 'turbine-cover-leaking'],
    { cautions: ['brittle-plastic'] },
  ),
  look(
    ['cover-under-lip', 'Cover under its lip', 0.5, 'outside'],
    ['Look along the joint of the cover.', 'Its front edge goes under the lip.', 'Over the lip it hisses and is weak.'],
    ['under-lip', 'under the lip'],
    ['over-lip', 'over the lip', 'cover-not-under-lip'],
  ),
  look(
    ['belt-direction', 'Which way it runs', 1, 'sole-plate'],
    [
      'Turn the drive by hand the way it runs.',
      'The roll must sweep towards the mouth.',
      'A half-twisted belt has one right way.',
    ],
    ['twist-right', 'right way'],
    ['twist-wrong', 'wrong way', 'belt-twisted-wrong'],
  ),
  look(
    ['cap-marks', 'Marks on the fixed cap', 1, 'roll-out'],
    [
      'Find which end cap pulls off and which does not.',
      'Pliers’ marks on the fixed one tell.',
      'Never pull the fixed one.',
    ],
    ['cap-untouched', 'none'],
    ['cap-forced', 'forced', 'fixed-cap-forced'],
    { cautions: ['brittle-plastic'] },
  ),
  look(
    ['gear-look', 'Gears', 3, 'head'],
    [
      'Plug out, gear case open.',
      'Turn the drive, look at every tooth.',
      'Chips in the grease tell before the eye does.',
    ],
    ['gear-whole', 'whole'],
    ['gear-stripped', 'stripped', 'gear-stripped'],
    { cautions: PLUG_OUT },
  ),
  check(
    ['brush-plate-look', 'Brush plate and set screw', 2, 'roll-out'],
    ['Machine made dead, brush off.', 'Set screw tight on its flat?', 'Plate worn oval, lugs whole?'],
    [
      either(
        'screw',
        'Set screw',
        ['set-screw-tight', 'tight'],
        ['set-screw-loose', 'loose', 'set-screw-loose'],
        0.003,
      ),
      either('plate', 'Plate', ['plate-whole', 'whole'], ['plate-worn', 'worn', 'brush-plate-worn'], 0.003),
    ],
    { cautions: [...PLUG_OUT, 'heavy-machine'] },
  ),
  check(
    ['deck-debris', 'Deck and brush ends', 2, 'roll-out'],
    [
      'Key out. Brushes out while all is still wet.',
      'String and straps round the ends?',
      'Rust where a brush was left in?',
    ],
    [
      either('debris', 'Deck', ['deck-clear', 'clear'], ['debris-packed', 'packed', 'deck-debris-packed'], 0.004),
      aspect('ends', 'Brush ends', [
        outcome('ends-clean', 'clean'),
        outcome('brush-rusted-in', 'rusted', { proves: 'brush-left-in', leak: 0.004 }),
        outcome('brush-stuck-in', 'brush will not come out', { proves: 'brush-left-in', leak: 0.001 }),
      ]),
    ],
    { cautions: [...PLUG_OUT, 'heavy-machine', 'blades'] },
  ),
  check(
    ['deck-belts', 'Deck belts', 3, 'deck'],
    [
      'Key out, belt cover off.',
      'Belt dust, glazed flanks, missing ribs.',
      'Press: more than a finger’s width is loose, none is too tight.',
    ],
    [
      aspect('belts', 'Belts', [
        outcome('deck-belts-good', 'good'),
        outcome('deck-belt-slack', 'good, but loose', { proves: 'deck-belt-loose', leak: 0.01 }),
        outcome('deck-belt-taut', 'good, but too tight', { proves: 'deck-belt-tight', leak: 0.003 }),
        outcome('belt-dust', 'dusty or glazed', { proves: 'deck-belt-slipping', leak: 0.004 }),
        outcome('deck-belt-gone', 'broken or off', { proves: 'deck-belt-broken', leak: 0.003 }),
      ]),
    ],
    { cautions: [...PLUG_OUT, 'heavy-machine'] },
  ),
  check(
    ['operator-ask', 'Ask the operator', 0.5, 'outside'],
    ['How is it driven over ramps and thresholds?', 'Are both tanks rinsed after each use?', 'Ask, do not blame.'],
    [
      either(
        'ramps',
        'Over ramps',
        ['ramps-sideways', 'sideways, squeegee up'],
        ['ramps-straight', 'straight, squeegee down', 'driven-over-ramps'],
        0.004,
      ),
      aspect('rinse', 'Tanks', [
        outcome('rinsed', 'rinsed daily'),
        outcome('not-rinsed', 'not rinsed', { leak: 0.15 }),
      ]),
    ],
  ),
  look(
    ['deck-bearing-feel', 'Deck bearings', 2, 'roll-out'],
    ['Brushes out.', 'Turn each hub slowly, rock it.', 'Rough or rusty is replaced as a pair.'],
    ['deck-bearing-smooth', 'smooth'],
    ['deck-bearing-rough', 'rough or rusted', 'deck-bearing-rusted'],
    { cautions: PLUG_OUT },
  ),
  look(
    ['deck-pressure', 'Deck pressure', 0.3, 'outside'],
    ['Read the pressure step.', 'Lowest is right for nearly every floor.', 'More crushes bristles and slips belts.'],
    ['pressure-low', 'lowest step'],
    ['pressure-high', 'higher', 'pressure-too-high'],
  ),
  look(
    ['brush-pattern', 'Brush pattern on the floor', 2, 'outside'],
    [
      'Dry flat floor, brush down five seconds, lift.',
      'Look at the polished strip.',
      'It must be even from end to end.',
    ],
    ['pattern-even', 'even'],
    ['pattern-uneven', 'wedge or gaps', 'brushes-uneven'],
    { power: 'yes' },
  ),
  check(
    ['side-brush-look', 'Side brush', 1, 'outside'],
    ['On its back: turn the side brush by hand.', 'Hair round its post?', 'Start a spot clean: does it turn?'],
    [
      aspect('brush', 'Side brush', [
        outcome('side-brush-turns', 'turns'),
        outcome('side-brush-hair', 'bound by hair', { proves: 'side-brush-bound', leak: 0.01 }),
        outcome('side-brush-still', 'free but still', { proves: 'side-brush-motor-failed', leak: 0.003 }),
      ]),
    ],
  ),
  check(
    ['drive-wheel-look', 'Drive wheels', 1, 'outside'],
    ['On its back: press each wheel in, turn it.', 'Hair on the axle?', 'Start it held up: both must drive.'],
    [
      aspect('wheel', 'Wheels', [
        outcome('wheels-drive', 'both drive'),
        outcome('wheel-hair', 'bound by hair', { proves: 'drive-wheel-bound', leak: 0.01 }),
        outcome('wheel-dead', 'one does not drive', { proves: 'drive-wheel-failed', leak: 0.003 }),
      ]),
    ],
  ),
  look(
    ['harness-look', 'Harness', 0.5, 'outside'],
    ['Pull every strap and buckle.', 'Look at the seams.', 'A torn strap drops the machine.'],
    ['straps-sound', 'sound'],
    ['strap-frayed', 'worn', 'strap-worn'],
  ),
  check(
    ['motor-spin', 'Spin the motor by hand', 1, 'motor-bay'],
    ['Plug out, motor bay open.', 'Flick the shaft: it must run on.', 'Feel for stiffness, listen for a rub.'],
    [
      aspect('spin', 'It', [
        outcome('spin-free', 'runs on'),
        outcome('spin-rubs', 'rubs', { leak: 0.005 }),
        outcome('spin-rough', 'rough', { leak: 0.01 }),
        outcome('spin-stiff', 'stiff', { leak: 0.005 }),
        outcome('spin-stuck', 'stuck', { proves: ['suction-motor-failed', 'vac-motor-failed'], leak: 0.002 }),
      ]),
    ],
    { cautions: PLUG_OUT },
  ),
  check(
    ['end-float', 'End float', 4, 'motor-out'],
    [
      'Motor out, on its end, gauge on the shaft.',
      'Push and pull: read the float.',
      'A good motor has a little, never none.',
    ],
    [
      either('float', 'Float', ['float-right', 'right'], ['float-wide', 'too wide', 'shims-missing'], 0.01, {
        reading: ranges('length', 'mm', [0, 10], { 'float-right': [0.05, 0.45], 'float-wide': [0.4, 4] }),
      }),
    ],
    { cautions: [...PLUG_OUT, 'left-hand-thread', 'hold-off-the-belt-track'] },
  ),
  look(
    ['mounts-look', 'Rubber mounts', 1, 'motor-bay'],
    ['Plug out, motor bay open.', 'Press the motor to each side.', 'Cracked, oily or hard mounts pass every noise on.'],
    ['mounts-good', 'good'],
    ['mounts-gone', 'perished', 'mounts-perished'],
    { cautions: PLUG_OUT },
  ),
];
