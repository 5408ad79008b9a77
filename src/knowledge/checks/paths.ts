import type { CheckText } from '../assemble';
import { aspect, check, either, look, outcome, ranges } from '../write';

/** Air paths that only some constructions have, and the tanks of wet machines. Minutes: common practice, no source. */
export const pathChecks: CheckText[] = [
  check(
    ['u-bend-fitted', 'U-bend', 0.5, 'outside'],
    ['Look at the back, low down.', 'Is the U-bend in and pushed home?', 'Take it out and look through it.'],
    [
      aspect('bend', 'U-bend', [
        outcome('u-bend-home', 'home and clear'),
        outcome('u-bend-blocked', 'blocked', { proves: 'u-bend-clogged', leak: 0.003 }),
        outcome('u-bend-off', 'missing or loose', { proves: 'u-bend-missing', leak: 0.003 }),
      ]),
    ],
  ),
  look(
    ['sealant-look', 'Joint of the fan housing', 2, 'fan-chamber'],
    [
      'Plug out, belt off, look along the joint.',
      'Dust tracks tell where it blows.',
      'Old sealant is scraped flat and lightly.',
    ],
    ['joint-tight', 'tight'],
    ['joint-leaks', 'leaks', 'sealant-joint-leaking'],
    { cautions: ['unplug-before-opening', 'soft-metal', 'solvents'] },
  ),
  check(
    ['fan-chamber-look', 'Fan chamber', 2, 'fan-chamber'],
    ['Plug out, chamber open.', 'Packed dirt, string, something hard?', 'The felt ring whole and seated?'],
    [
      either(
        'chamber',
        'Chamber',
        ['chamber-clear', 'clear'],
        ['chamber-packed', 'packed', 'fan-chamber-packed'],
        0.004,
      ),
      either('felt', 'Felt', ['felt-good', 'good'], ['felt-worn', 'worn or missing', 'felt-gasket-worn'], 0.004),
    ],
    { cautions: ['unplug-before-opening', 'left-hand-thread', 'hold-off-the-belt-track'] },
  ),
  check(
    ['fill-tube-look', 'Fill tube, neck, handle gasket', 1.5, 'outside'],
    ['Bag off, look down the tube to the light.', 'Bend the swivel neck both ways.', 'Feel the gasket at the handle.'],
    [
      either('tube', 'Tube', ['tube-clear', 'clear'], ['tube-clogged', 'clogged', 'fill-tube-clogged'], 0.003),
      either('neck', 'Neck', ['neck-sound', 'sound'], ['neck-cracked', 'cracked', 'swivel-neck-cracked'], 0.003),
      either(
        'gasket',
        'Gasket',
        ['handle-gasket-good', 'good'],
        ['handle-gasket-gone', 'worn or gone', 'handle-gasket-leaking'],
        0.003,
      ),
    ],
  ),
  look(
    ['breather-look', 'Breather filter', 0.5, 'outside'],
    ['Belt-side cover off.', 'Filter against the light.', 'It cools the motor: caked means heat.'],
    ['breather-clean', 'clean'],
    ['breather-caked', 'caked', 'breather-clogged'],
  ),
  look(
    ['shoe-look', 'Emptying shoe', 1, 'outside'],
    ['Bag off at the shoe.', 'Seal and latch of the shoe, the bag’s clamp.', 'Dust round it is a leak.'],
    ['shoe-tight', 'tight'],
    ['shoe-leaks', 'leaks', 'emptying-shoe-leaking'],
  ),
  look(
    ['neck-look', 'Look through the neck', 1, 'outside'],
    ['Neck off at its easy end.', 'Look to the light, or drop the blunt object.', 'Push back the way it came.'],
    ['neck-clear', 'clear'],
    ['neck-blocked', 'blocked', 'neck-clogged'],
  ),
  check(
    ['wall-inlet-vacuum', 'Vacuum at the wall inlet', 1, 'outside'],
    ['Hose off the wall, manometer sealed on the inlet.', 'Start the unit, read.', 'Compare with a second inlet.'],
    [
      either('wall', 'At the wall', ['wall-good', 'good'], ['wall-weak', 'weak', 'central-unit-weak'], 0.003, {
        reading: ranges(
          'pressure',
          'kPa',
          [0, 2],
          { 'wall-good': [0.85, 1.15], 'wall-weak': [0, 0.86] },
          { relativeTo: 'healthyVacuumKpa' },
        ),
      }),
    ],
    { power: 'yes' },
  ),
  check(
    ['solution-flow', 'Solution flow', 2, 'outside'],
    ['Full tank, valve open, brush up.', 'Catch what comes in a minute.', 'None, a trickle, or as the plate says.'],
    [
      aspect('flow', 'Flow', [
        outcome('flow-right', 'as it should'),
        outcome('flow-low', 'a trickle', { leak: 0.01 }),
        outcome('flow-none', 'none', { leak: 0.004 }),
      ]),
    ],
    { power: 'yes', cautions: ['chemicals'] },
  ),
  look(
    ['tank-screen-look', 'Tank screen', 1, 'tanks-open'],
    ['Drain, tank open.', 'Screen out, against the light.', 'Rinse it, put it back.'],
    ['screen-clear', 'clear'],
    ['screen-blocked', 'blocked', 'tank-screen-blocked'],
    { cautions: ['chemicals'] },
  ),
  look(
    ['solution-filter-look', 'Solution filter', 1, 'outside'],
    ['Shut-off closed, bowl off.', 'Filter out, rinse.', 'Ring in its groove, open the shut-off.'],
    ['solution-filter-clear', 'clear'],
    ['solution-filter-clogged', 'clogged', 'solution-filter-blocked'],
    { cautions: ['chemicals'] },
  ),
  check(
    ['valve-position', 'Valve', 0.3, 'outside'],
    ['Look at the valve or shut-off handle.', 'Work it to its ends; a solenoid clicks.', 'Leave it open.'],
    [
      aspect('valve', 'Valve', [
        outcome('valve-open', 'open, works'),
        outcome('valve-closed', 'shut or stuck', { proves: 'valve-shut', leak: 0.004 }),
        outcome('valve-silent', 'solenoid silent', { proves: 'solenoid-failed', leak: 0.003 }),
      ]),
    ],
  ),
  check(
    ['tube-look', 'Solution tube and joints', 2, 'deck'],
    ['Deck up, tube off at the deck end.', 'Blow through it, not by mouth.', 'Drips at a joint?'],
    [
      either('way', 'Tube', ['tube-open', 'open'], ['tube-clogged', 'blocked', 'tube-blocked'], 0.003),
      either('joints', 'Joints', ['tube-dry', 'dry'], ['tube-drips', 'drip', 'solution-joint-leaking'], 0.003),
    ],
    { cautions: ['chemicals', 'heavy-machine'] },
  ),
  look(
    ['jet-look', 'Spray jets', 1, 'outside'],
    ['Spray onto a dry sheet.', 'Each fan even, none crooked.', 'Soak, do not drill.'],
    ['jets-even', 'even'],
    ['jet-blocked', 'blocked', 'jets-blocked'],
    { power: 'yes' },
  ),
  check(
    ['tank-look', 'Tanks', 1, 'outside'],
    [
      'Lids up: how full, what smell, any foam?',
      'Look for cracks and wet trails.',
      'Nothing stays in a tank over a day.',
    ],
    [
      either(
        'solution',
        'Solution',
        ['solution-fresh', 'fresh'],
        ['solution-stale', 'old or foaming', 'solution-stale'],
        0.01,
      ),
      either(
        'recovery',
        'Recovery',
        ['recovery-has-room', 'has room'],
        ['recovery-is-full', 'full', 'recovery-full'],
        0.02,
      ),
      either('shell', 'Shell', ['tank-sound', 'sound'], ['tank-crack', 'cracked', 'tank-cracked'], 0.003),
    ],
    { cautions: ['chemicals'] },
  ),
  check(
    ['squeegee-edges', 'Squeegee blades', 1, 'outside'],
    ['Squeegee off, wiped.', 'Front edge of the working blade: sharp or round?', 'Grooves: outer blade out, inner in.'],
    [
      either('edges', 'Edges', ['edges-sharp', 'sharp'], ['edges-worn', 'round or torn', 'squeegee-worn'], 0.01),
      either(
        'way',
        'Way round',
        ['blades-right', 'right'],
        ['blades-reversed', 'reversed', 'squeegee-reversed'],
        0.003,
      ),
    ],
  ),
  look(
    ['squeegee-deflection', 'Squeegee on the floor', 2, 'outside'],
    [
      'On a flat floor, drive a step forward.',
      'The blade bends evenly from end to end.',
      'Set tilt and height until it does.',
    ],
    ['deflection-even', 'even'],
    ['deflection-uneven', 'uneven', 'squeegee-tilted'],
    { power: 'yes' },
  ),
  check(
    ['inlets-clear', 'Squeegee inlets', 1, 'outside'],
    ['Squeegee up, hose off.', 'Finger or hook through each inlet.', 'String and labels lie across.'],
    [
      either(
        'front',
        'Front inlet',
        ['inlet-clear', 'clear'],
        ['inlet-front-blocked', 'blocked', 'inlet-blocked'],
        0.003,
      ),
      either(
        'rear',
        'Rear inlet',
        ['rear-clear', 'clear'],
        ['inlet-rear-blocked', 'blocked', 'inlet-rear-blocked'],
        0.003,
      ),
    ],
  ),
  look(
    ['vac-hose-look', 'Suction hose', 2, 'outside'],
    ['Hose off at both ends.', 'Look to the light; bend and stretch it.', 'Cuffs tight on their stubs?'],
    ['vac-hose-good', 'good'],
    ['vac-hose-bad', 'split or clogged', 'vac-hose-damaged'],
  ),
  look(
    ['lid-gasket', 'Lid gasket', 0.5, 'outside'],
    ['Lid up: gasket in its groove all round?', 'Flat, torn, dirty?', 'Close it on a strip of paper: it must hold.'],
    ['gasket-good', 'good'],
    ['gasket-bad', 'off, flat or torn', ['lid-gasket-off', 'drum-seal-leaking', 'dirty-tank-gasket']],
  ),
  look(
    ['vac-lid-warp', 'Lid of the suction filter', 1, 'tanks-open'],
    ['Lid off, on a flat plate.', 'Light under its edge is a warp.', 'A warped lid leaks for ever.'],
    ['vac-lid-flat', 'flat'],
    ['vac-lid-warped', 'warped', 'vac-filter-lid-warped'],
  ),
  check(
    ['float-free', 'Float', 1, 'outside'],
    [
      '{recovery-tank:Recovery tank|Drum} open.',
      'Lift the float: it must fall back by itself.',
      '{foam-sleeve:Foam sleeve on for wet work?|Its cage rinsed, its seat whole?}',
    ],
    [
      aspect('float', 'Float', [
        outcome('float-falls', 'falls back'),
        outcome('float-hangs-shut', 'hangs shut', { proves: 'float-shut', leak: 0.003 }),
        outcome('float-stuck', 'fouled', { proves: 'float-fouled', leak: 0.004 }),
      ]),
      either('sleeve', 'Sleeve', ['sleeve-on', 'on'], ['sleeve-missing', 'missing', 'foam-sleeve-missing'], 0.003),
    ],
    { cautions: ['motor-stays-dry'] },
  ),
  look(
    ['intake-screen', 'Intake screen', 1, 'outside'],
    ['Screen of the suction motor’s intake.', 'Pick and brush it dry.', 'No running water near the motor.'],
    ['intake-clear', 'clear'],
    ['intake-caked', 'caked', 'intake-screen-blocked'],
    { cautions: ['motor-stays-dry'] },
  ),
  look(
    ['skirt-look', 'Skirts', 1, 'outside'],
    ['Look along both skirts.', 'They touch the floor all along.', 'Torn ones throw water.'],
    ['skirt-whole', 'whole'],
    ['skirt-torn', 'torn', 'skirts-worn'],
  ),
  look(
    ['drain-look', 'Drain', 0.3, 'outside'],
    ['Half a litre in, look at the drain.', 'Cap tight, seal in?', 'A drip at rest is a trail on the floor.'],
    ['drain-dry', 'dry'],
    ['drain-drips', 'drips', 'drain-leaking'],
  ),
];
