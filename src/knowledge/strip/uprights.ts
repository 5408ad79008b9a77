import { bay, filterLid, headHalves, hoseEnds, rollToothed, rollWithBelt } from './common';
import { step, within, type AccessSteps } from './write';

const binOff = step('bin-off', 'Bin off', 'S', [0.5, 0.5], 'Bin clicked in', {
  checks: ['bin-latched'],
  instead: ['filter-lid'],
});

/** Kind 1. */
export const shaftBelt: AccessSteps = {
  'filter-bay': filterLid(),
  'hose-off': hoseEnds,
  'sole-plate': within(
    [2.5, 2.5],
    [
      step('knob-off', 'Height knob off, its screw held', 'B cross-1', [1, 1], 'Knob held while its screw goes in', {
        out: ['1 screw cross-1 short hidden: under the height knob’s cap'],
        checks: ['height-knob'],
        optional: true,
      }),
      step(
        'plate-screws',
        'Sole plate screws out, the long ones apart',
        'B cross-2',
        [2, 2],
        'Plate screws back to their lengths, started by hand, snug',
        {
          out: [
            '2 screw cross-2 short: at the front edge',
            '2 screw cross-2 long hidden: behind the roll, one may hide under a wheel',
          ],
          photo: 'Which hole has the long screws.',
        },
      ),
      step('plate-lift', 'Sole plate and belt cover off', 'B pry', [1, 1], 'Belt cover and plate on, lip in first', {
        checks: ['cover-seated'],
        cautions: ['brittle-plastic'],
      }),
    ],
  ),
  'roll-out': rollWithBelt([2, 3], { height: true }),
  'motor-bay': bay([10, 10], {
    first: [binOff],
    screws: ['6 screw cross-2 medium: round the motor cover', '2 screw cross-2 long: into the body at the bottom'],
    lie: 'B',
    checks: ['motor-seals-wiped'],
  }),
};

/** Kind 2. */
export const brushMotor: AccessSteps = {
  'filter-bay': filterLid(),
  'hose-off': hoseEnds,
  'sole-plate': within(
    [2.5, 2.5],
    [
      step(
        'plate-locks',
        'Coin locks of the sole plate turned',
        'B coin',
        [1, 1],
        'Coin locks turned home, marks in line',
        {
          out: ['3 lug coin: along the plate, they stay in it'],
        },
      ),
      step(
        'plate-lift',
        'Sole plate off, seals wiped while it is out',
        'B',
        [1, 1],
        'Plate in at the rear, then down',
        { checks: ['neck-seated'] },
      ),
      step(
        'neck-hose-look',
        'Neck hose freed at the head, looked at for splits',
        'B',
        [0.5, 0.5],
        'Neck hose on, no fold; never under water: it has wires',
        {
          cautions: ['electrified-hose'],
          optional: true,
        },
      ),
    ],
  ),
  'roll-out': rollToothed([2, 3]),
  head: within(
    [6, 7],
    [
      step('front-wheels', 'Front wheels popped off', 'U pry', [1, 1], 'Front wheels pressed in until they click', {
        out: ['2 wheel: at the front, each with its pin'],
      }),
      step(
        'head-screws',
        'All screws but those of the axle out, the hidden one behind the plate',
        'U t15',
        [2, 2.5],
        'Head screws: started by hand, snug',
        {
          out: ['6 screw t15 medium: round the head', '1 screw t15 long hidden: behind the sole plate'],
          stays: 'The two screws of the axle stay.',
          trial: 'Run for seconds on one screw: roll on leaned back, off upright. Then the rest go in',
        },
      ),
      step('head-lift', 'Upper half lifted, lamp plug off', 'U', [1, 1.5], 'Lamp plug on, upper half down', {
        photo: 'Wires in their channel and at the switch.',
        cautions: ['brittle-plastic'],
        checks: ['wires-in-channel'],
      }),
      step(
        'switch-holder',
        'Switch holder off, the tilt switch in it',
        'U',
        [1, 1],
        'Switch in its holder, its lever on the cam',
        {
          out: ['1 clip: on the switch holder'],
          free: true,
          also: ['head-lift'],
        },
      ),
      step(
        'head-motor',
        'Board and brush motor out of their cradle',
        'U',
        [1, 1],
        'Motor in its cradle, board in its slots',
        {
          checks: ['motor-spins'],
          free: true,
          also: ['head-lift'],
        },
      ),
    ],
  ),
  handle: within(
    [4, 4],
    [
      step('handle-off', 'Handle out of the body', 'S', [0.5, 0.5], 'Handle pushed home until it clicks', {
        checks: ['handle-home'],
      }),
      step('handle-screws', 'Screws of the grip out', 'S t15', [1.5, 1.5], 'Grip screws started by hand, snug', {
        out: ['4 screw t15 short: in the grip', '1 screw t15 medium hidden: under the badge'],
      }),
      step(
        'grip-halves',
        'Grip halves apart, switch lifted out',
        'S',
        [2, 2],
        'Switch in its seat, wires in their channel, halves shut',
        {
          photo: 'Wires of the brush switch.',
          checks: ['wires-as-photo'],
        },
      ),
    ],
  ),
  'motor-bay': bay([12, 12], {
    first: [binOff],
    screws: ['8 screw t15 medium: round the motor cover', '2 screw t15 long: at the foot'],
    tool: 't15',
    checks: ['motor-seals-wiped'],
  }),
};

/** Kind 3. */
export const clutch: AccessSteps = {
  'filter-bay': filterLid(),
  'sole-plate': within(
    [2.5, 2.5],
    [
      step(
        'plate-lugs',
        'Lugs of the sole plate a quarter turn',
        'B coin',
        [1.5, 1.5],
        'Lugs a quarter turn home, slots across',
        {
          out: ['3 lug coin: in the plate, they stay in it'],
        },
      ),
      step('plate-lift', 'Sole plate off', 'B', [1, 1], 'Plate on, rear hooks first', { checks: ['plate-floats'] }),
    ],
  ),
  'roll-out': within(
    [2, 3],
    [
      step(
        'belt-over-bridge',
        'Roll belt lifted over its bridge',
        'B belt hook',
        [1, 1.5],
        'Roll belt lifted back over its bridge with the hook',
        {
          stays: 'A screwdriver works and is harder; the hook spares the belt.',
          checks: ['belt-tracked'],
        },
      ),
      step('roll-lift', 'Roll out', 'B', [0.5, 0.8], 'Roll in, turned by hand twice', { checks: ['caps-in-notch'] }),
      step(
        'caps-off',
        'Caps twisted off, bearings tapped out, felts kept',
        'B',
        [1, 1],
        'Bearings in as a pair, felts, caps twisted on',
        {
          out: ['2 felt: behind the bearings', '2 cap: on the ends of the roll'],
          checks: ['roll-clean'],
        },
      ),
    ],
  ),
  clutch: within(
    [8, 9],
    [
      step('u-bend-off', 'U-bend pulled off', 'B', [0.5, 0.5], 'U-bend on', { checks: ['u-bend-home'] }),
      step(
        'clutch-cover',
        'Cover eased, front and back together',
        'B pry',
        [1.5, 1.5],
        'Cover on: locators in line, arm in line with the body',
        {
          cautions: ['brittle-plastic'],
          checks: ['cover-locators', 'clutch-engages'],
        },
      ),
      step(
        'roll-belt-off',
        'Roll belt off the bridge',
        'B belt hook',
        [0.5, 1],
        'Roll belt on the bridge, free of the cover',
      ),
      step(
        'clutch-screws',
        'Three screws out, the third behind the U-bend',
        'B t15',
        [2, 2.5],
        'Clutch screws: all three started by hand, then snug',
        {
          out: [
            '2 screw t15 medium: at the clutch',
            '1 screw t15 long hidden: behind the U-bend, a driver of 100 mm and more',
          ],
        },
      ),
      step(
        'clutch-lever',
        'Clutch levered at two points and turned',
        'B pry',
        [1.5, 1.5],
        'Clutch in, set to off, arm in line with the body',
        {
          cautions: ['brittle-plastic', 'flying-springs'],
          checks: ['clutch-off-fitting'],
        },
      ),
      step(
        'first-belt-off',
        'First belt unhooked from the spindle',
        'B belt hook',
        [1, 1.5],
        'First belt over the spindle, it runs true when turned by hand',
        {
          photo: 'How the first belt runs.',
          stays: 'The white pulley is turned: free and clean, or the clutch goes as a whole.',
        },
      ),
    ],
  ),
  'motor-bay': within(
    [14, 14],
    [
      step('plate-rocked', 'Floating plate rocked off, not levered', 'B', [1, 1.5], 'Floating plate rocked on', {
        checks: ['plate-floats', 'spring-hose-springs'],
      }),
      step('bay-filters', 'Filters out, they are washed meanwhile', 'S', [0.5, 0.5], 'Filters in, dry', {
        checks: ['filters-clean'],
        instead: ['filter-out'],
      }),
      step(
        'bay-screws',
        'Four screws of the motor housing out',
        'S t15',
        [2.5, 2.5],
        'Four housing screws started by hand, snug',
        {
          out: ['4 screw t15 medium: round the motor housing'],
          stays: 'The outer fifth screw stays.',
          trial: 'Run for seconds on one screw before the rest go in: sound, smell, suction at the hose',
        },
      ),
      step(
        'bay-wires',
        'Wire taken through its holders in an L, colours photographed',
        'S',
        [2, 2.5],
        'Wire in an L through its holders, none under the rim',
        {
          photo: 'Colours at the motor and the L of the wire.',
          checks: ['wires-as-photo'],
          cautions: ['earth-first'],
        },
      ),
      step(
        'bay-grip',
        'Cord grip opened, cord drawn a hand’s width',
        'S cross-1',
        [1, 1],
        'Cord in its grip, its loop outside the clamp',
        {
          out: ['2 screw cross-1 short: at the cord grip'],
          checks: ['grip-holds'],
          free: true,
          also: ['bay-screws'],
        },
      ),
      step(
        'bay-clips',
        'Four clips of the housing off',
        'S pry',
        [1.5, 1.5],
        'Rim in the inner groove (the outer is for the head), four clips, no gap',
        {
          out: ['4 clip: round the motor housing'],
          checks: ['rim-inner-groove'],
          cautions: ['brittle-plastic', 'flying-springs'],
        },
      ),
      step('internal-hose-off', 'Internal hose off the upper port', 'S', [1, 1], 'Internal hose on', {
        checks: ['internal-hose-upper'],
      }),
      step(
        'bay-motor',
        'Seal pulled, motor pressed out',
        'S',
        [3.5, 3],
        'Motor in, arrow towards the filter, jelly on the seals',
        {
          photo: 'Which seal sits above, which below.',
          carried: 'The old upper seal goes on the new motor; a wider base needs the matching lower seal.',
          checks: ['motor-arrow', 'motor-spins', 'motor-seals-wiped'],
        },
      ),
    ],
  ),
};

/** Kind 4. */
export const directAir: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step(
        'warranty-read',
        'Warranty read before anything is opened',
        'S',
        [0.2, 0.1],
        'Paper of the warranty back with the machine',
      ),
      step('bag-off', 'Bag taken off its tube', 'S', [0.3, 0.4], 'Bag up to its mark on the tube, collar drawn up', {
        checks: ['collar-tight'],
      }),
    ],
  ),
  'sole-plate': within(
    [2, 2],
    [
      step(
        'plate-screws',
        'Two odd screws of the bottom plate out',
        'U cross-2',
        [1.2, 1.2],
        'Plate screws back in their own holes',
        {
          out: ['1 screw cross-2 short: at the front of the plate', '1 screw cross-2 long: at the rear of the plate'],
          photo: 'Which of the two goes where.',
        },
      ),
      step('plate-lift', 'Bottom plate off', 'U', [0.8, 0.8], 'Bottom plate on, tongues first'),
    ],
  ),
  'roll-out': within(
    [2, 3],
    [
      step('roll-lift', 'Roll out from its free cap', 'U', [1, 1.5], 'Roll in: belted end first, free cap last', {
        checks: ['caps-in-notch', 'belt-tracked'],
      }),
      step('belt-off-shaft', 'Belt off the shaft', 'U', [0.5, 1], 'Belt on the shaft, teeth or smooth side as it was', {
        checks: ['shaft-wiped'],
      }),
      step('caps-off', 'Caps off', 'U', [0.5, 0.5], 'Caps on', {
        out: ['2 cap: on the ends of the roll'],
        checks: ['roll-clean'],
      }),
    ],
  ),
  'fan-chamber': within(
    [5, 6],
    [
      step(
        'fan-cover-turn',
        'Fan cover turned about 45° with the two-pin tool or pliers',
        'U two-pin tool',
        [1.5, 2],
        'Fan cover turned home, gasket faces clean',
        { cautions: ['soft-metal'] },
      ),
      step(
        'fan-bolt',
        'Shaft held at its very end, fan bolt undone clockwise',
        'U locking pliers',
        [1.5, 2],
        'Fan bolt on by its left-hand thread, hand-tight and a little',
        {
          out: ['1 bolt hex left: in the middle of the fan', '1 washer: under the bolt, it is saved'],
          cautions: ['left-hand-thread', 'hold-off-the-belt-track'],
          checks: ['fan-nut-left'],
        },
      ),
      step('fan-lift', 'Fan off, felt and neck gasket off with it', 'U', [1, 1], 'Neck and felt gasket in, fan on', {
        photo: 'How felt and neck gasket lie.',
        checks: ['gasket-faces'],
      }),
    ],
  ),
  'motor-bay': within(
    [10, 10],
    [
      step('handle-gasket', 'Handle off with its gasket', 'S', [1, 1], 'Handle on, its gasket whole'),
      step('breather-out', 'Breather filter out', 'S', [0.5, 0.5], 'Breather filter in'),
      step('wheels-off', 'Wheels off', 'D pry', [1, 1], 'Wheels on, they turn'),
      step(
        'bay-screws',
        'Screws of the plastic covers out, one under the board',
        'D cross-2',
        [2.5, 2.5],
        'Cover screws: the last two by hand, then snug',
        {
          out: ['5 screw cross-2 medium: in odd places of the covers', '1 screw cross-2 short hidden: under the board'],
          photo: 'Where each screw of the covers was.',
          trial: 'Run for seconds on one screw before the rest go in',
        },
      ),
      step('bay-cover', 'Plastic covers off', 'D pry', [1, 1], 'Covers on, wires tucked on their side', {
        cautions: ['brittle-plastic'],
        checks: ['wires-tucked', 'cord-clear'],
      }),
      step('bay-wires', 'Wires and board photographed, plugs off', 'D', [1.5, 2], 'Plugs on as on the photograph', {
        photo: 'Board, colours, route of the wires.',
        checks: ['wires-as-photo'],
        cautions: ['earth-first'],
      }),
      step('bay-motor', 'Motor out, its detents seen to', 'D', [2.5, 2], 'Motor in, detents click', {
        checks: ['motor-spins', 'detent-clicks'],
      }),
    ],
  ),
};

/** Kind 5. */
export const selfPropelled: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('shoe-off', 'Emptying shoe unlatched, bag off', 'S', [1, 1], 'Bag on, cord pushed aside, shoe latched', {
        checks: ['cord-clear'],
      }),
    ],
  ),
  'sole-plate': within(
    [2, 3],
    [
      step('lifter-off', 'Belt lifter turned to belt off', 'S', [0.4, 0.7], 'Lifter to on', { checks: ['lifter-on'] }),
      step(
        'nozzle-unlatch',
        'Nozzle unlatched, lifter turned to free the belt, nozzle off its bar',
        'S',
        [0.6, 1],
        'Nozzle on its bar, lifter to off to catch it, latched',
      ),
      step('plate-levers', 'Levers of the bottom plate opened, plate off', 'U', [1, 1.3], 'Plate on, both levers shut'),
    ],
  ),
  'roll-out': within(
    [1.5, 2],
    [
      step(
        'roll-lift',
        'Roll out, the number its caps stand at written down',
        'U',
        [1, 1.3],
        'Roll in: the same number up at both ends',
        {
          photo: 'The number (1, 2, 3) of both caps.',
          checks: ['caps-same-number', 'bristles-proud', 'belt-tracked'],
        },
      ),
      step('caps-off', 'Caps off: large and small are not exchanged', 'U', [0.5, 0.7], 'Caps on, arrows up', {
        out: ['1 cap: large, on the belt’s side', '1 cap: small, on the far side'],
        checks: ['roll-clean'],
      }),
    ],
  ),
  'fan-chamber': within(
    [6, 8],
    [
      step(
        'housing-screws',
        'Screws of the fan housing out, countersunk ones apart',
        'S cross-2',
        [2, 2.5],
        'Long screws on top, countersunk in their two holes, all started by hand into the alloy',
        {
          out: [
            '4 screw cross-2 long: at the top of the housing',
            '2 screw cross-2 medium countersunk: in their two holes',
            '2 screw t15 medium: beside the lifter',
          ],
          photo: 'Two drives and three sorts of screws: which is where.',
          cautions: ['soft-metal'],
          checks: ['screws-as-out', 'joint-cured'],
          waits: { kind: 'glue', hours: 24, what: 'sealed joint of the fan housing' },
        },
      ),
      step(
        'housing-off',
        'Fan housing parted, drive lever up',
        'S scraper',
        [1.5, 2],
        'New sealant all round, housing on: drive lever up, fork over its receiver',
        {
          cautions: ['soft-metal', 'magnesium', 'solvents'],
          checks: ['arm-joined'],
        },
      ),
      step('shoe-out', 'Emptying shoe out of its seat', 'S', [0.5, 0.5], 'Emptying shoe in, level with its seat', {
        checks: ['old-sealant-off'],
        cautions: ['soft-metal'],
      }),
      step(
        'fan-nut',
        'Fan undone clockwise, shaft held at its end',
        'S locking pliers',
        [1.5, 2],
        'Fan on by its left-hand thread',
        {
          out: ['1 nut hex left: on the fan', '1 washer: behind the fan'],
          cautions: ['left-hand-thread', 'hold-off-the-belt-track'],
          checks: ['fan-nut-left'],
        },
      ),
    ],
  ),
  transmission: within(
    [20, 25],
    [
      step('lamp-hood', 'Lamp hood off', 'S cross-2', [1, 1], 'Lamp hood on, lamp plug home', {
        out: ['2 screw cross-2 short: under the lamp hood'],
        checks: ['lamp-plug'],
      }),
      step('nozzle-away', 'Nozzle off', 'S', [1, 1.5], 'Nozzle on its bar, latched', {
        checks: ['lifter-on'],
        instead: ['nozzle-unlatch'],
      }),
      step('bag-away', 'Bag off', 'S', [0.5, 0.5], 'Bag on, cord pushed aside', {
        checks: ['cord-clear'],
        instead: ['shoe-off'],
      }),
      step('cord-grip-screw', 'Cord grip screw out, the small one', 'S t10', [1, 1], 'Cord grip on, cord pulled once', {
        out: ['1 screw t10 short: at the cord grip'],
        checks: ['grip-holds'],
      }),
      step(
        'bail-off',
        'Handle bail off, cord drawn out',
        'S cross-2',
        [2, 2.5],
        'Bail on, arm joined to it before the cover',
        {
          out: ['2 screw cross-2 long: at the bail'],
          checks: ['arm-joined'],
          cautions: ['loose-handle'],
        },
      ),
      step('rear-cover', 'Rear cover off', 'S cross-2', [1, 1.2], 'Rear cover on', {
        out: ['2 screw cross-2 medium: at the rear cover'],
      }),
      step(
        'switch-screws',
        'Two screws by the switch out, kept apart from the front ones',
        'S cross-2',
        [1, 1.3],
        'Screws by the switch in',
        { out: ['2 screw cross-2 medium pointed: by the switch'] },
      ),
      step(
        'upper-front-screws',
        'Two upper screws at the front out',
        'S cross-2',
        [1, 1.3],
        'Upper front screws in: the longer two at the top',
        {
          out: ['2 screw cross-2 long: at the upper front'],
          photo: 'Pointed in front, longer at the top.',
          stays: 'Rusted: penetrating oil and hours, no force.',
          checks: ['screws-as-out'],
        },
      ),
      step('top-cover', 'Cover lifted straight up', 'S', [1, 1.2], 'Cover straight down over its pins'),
      step(
        'front-screws',
        'Four front screws out',
        'S t15',
        [1.5, 1.8],
        'Four front screws: started by hand into alloy',
        {
          out: ['4 screw t15 medium: at the front of the chassis'],
          cautions: ['soft-metal'],
        },
      ),
      step('foot-cover', 'Foot cover off', 'S', [1, 1], 'Foot cover on'),
      step('axle-bar', 'Axle bar out', 'U', [1.5, 2], 'Axle bar in, wheels turn'),
      step('under-screws', 'Three screws below out', 'U t15', [1.5, 2], 'Three screws below in, snug', {
        out: ['3 screw t15 long: under the drive unit'],
        stays: 'The fourth screw below stays.',
        photo: 'Which three of the four came out.',
      }),
      step('drive-belt-off', 'Drive belt off the shaft', 'U', [1, 1.5], 'Belt over both wheels, bracket held', {
        carried: 'Older ones need the matching motor sprocket, its pin and its circlip.',
      }),
      step(
        'unit-out',
        'Unit down and out',
        'U',
        [2, 3],
        'Unit up, bracket held; in neutral the shaft spins free and silent',
        {
          checks: ['neutral-silent'],
          cautions: ['heavy-machine'],
        },
      ),
    ],
  ),
  'motor-bay': bay([15, 15], {
    first: [
      step('hood-off', 'Lamp hood off, lamp plug off', 'S cross-2', [1, 1], 'Lamp plug and hood on', {
        instead: ['lamp-hood'],
        out: ['2 screw cross-2 short: under the lamp hood'],
        checks: ['lamp-plug'],
      }),
    ],
    screws: ['4 screw cross-2 long: through the motor housing', '2 screw cross-2 medium: at the switch plate'],
    lie: 'S',
    motorBack: 'Motor in, fan clear all round',
  }),
};

/** Kind 6. */
export const auto: AccessSteps = {
  'filter-bay': within(
    [0.5, 0.5],
    [
      step('bag-door', 'Bag door open, bag out', 'S', [1, 1], 'Bag on its collar, door shut without force', {
        checks: ['bin-latched'],
      }),
      step('filter-out', 'Filters out', 'S', [1, 1], 'Filters in, dry', { checks: ['filters-clean', 'seals-wiped'] }),
    ],
  ),
  'sole-plate': within(
    [1, 1],
    [step('plate-latches', 'Latches of the sole plate opened, plate off', 'B', [1, 1], 'Plate on, all latches shut')],
  ),
  'roll-out': within(
    [1, 1.5],
    [
      step('roll-eject', 'Roll out of the side', 'B', [0.6, 1], 'Roll in from the side until it clicks', {
        checks: ['roll-clean'],
      }),
      step('caps-off', 'Cap off, drive-side bearing judged', 'B', [0.4, 0.5], 'Cap on', {
        out: ['1 cap: on the free side'],
        checks: ['caps-in-notch'],
      }),
    ],
  ),
  clutch: within(
    [5, 6],
    [
      step(
        'cover-screws',
        'Cover screws out, top and bottom',
        'B cross-2',
        [1.5, 2],
        'Cover screws top and bottom, started by hand',
        {
          out: ['3 screw cross-2 short: at the top', '4 screw cross-2 long: at the bottom'],
          photo: 'Short above, long below.',
        },
      ),
      step('drive-springs', 'Springs to the tray', 'B hook', [1, 1.2], 'Springs hooked in', {
        out: ['2 spring: at the drive assembly'],
        cautions: ['flying-springs'],
        checks: ['springs-back'],
      }),
      step('drive-eased', 'Drive assembly eased out', 'B pry', [1, 1.2], 'Drive assembly in, bumper clips on', {
        out: ['4 clip: at the bumper'],
        cautions: ['brittle-plastic'],
      }),
      step('belts-off', 'Both belts off, which was outside noted', 'B', [1, 1.3], 'Belts on, with dry soap only', {
        photo: 'Which belt lies outside.',
        checks: ['belt-dry-soap', 'belt-tracked'],
      }),
    ],
  ),
  'motor-bay': bay([10, 10], {
    first: [
      step('handle-hose-cord', 'Handle, hose and cord off', 'S', [1, 1], 'Cord, hose and handle on', {
        checks: ['handle-home'],
      }),
    ],
    screws: ['6 screw cross-2 medium: round the body', '2 screw cross-2 short hidden: under the bag door'],
    lie: 'B',
    checks: ['indicator-quarter'],
  }),
};

/** Kind 13. */
export const baggedGear: AccessSteps = {
  'filter-bay': filterLid(),
  'hose-off': hoseEnds,
  'sole-plate': within(
    [2.5, 2.5],
    [
      step('plate-screws', 'Sole plate screws out', 'U cross-2', [1.5, 1.5], 'Plate screws started by hand, snug', {
        out: ['4 screw cross-2 short: at the plate’s edge', '2 screw cross-2 medium: beside the roll'],
      }),
      step('plate-lift', 'Sole plate off', 'U pry', [1, 1], 'Plate on, rear lip first', {
        cautions: ['brittle-plastic'],
      }),
    ],
  ),
  'roll-out': within(
    [2, 3],
    [
      step('roll-lift', 'Roll out of its gear', 'U', [1.2, 2], 'Roll in, its dog in the gear', {
        checks: ['caps-in-notch'],
      }),
      step('caps-off', 'Caps off', 'U', [0.8, 1], 'Caps on', {
        out: ['2 cap: on the ends of the roll'],
        checks: ['roll-clean'],
      }),
    ],
  ),
  head: headHalves(['6 screw cross-2 medium: round the head', '1 screw cross-2 long hidden: behind the plate'], {
    checks: ['gears-greased'],
  }),
  handle: within(
    [4, 4],
    [
      step('handle-screws', 'Screws of the grip out', 'S cross-2', [2, 2], 'Grip screws started by hand, snug', {
        out: ['4 screw cross-2 short: in the grip'],
      }),
      step('grip-halves', 'Grip halves apart, switch lifted out', 'S', [2, 2], 'Switch in its seat, halves shut', {
        photo: 'Wires of the switch.',
        checks: ['wires-as-photo'],
      }),
    ],
  ),
  'motor-bay': bay([10, 10], {
    screws: ['6 screw cross-2 medium: round the motor cover', '1 screw cross-2 long: under the bag door'],
    lie: 'S',
    checks: ['motor-seals-wiped'],
  }),
};
