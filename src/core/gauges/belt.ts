import {
  beltLengthMm,
  centreForLengthMm,
  senseOf,
  twistStrain,
  wrapAngles,
  type BeltRun,
  type PulleyPair,
} from '../drive/beltLength';
import { shaftLoadN, slipTorqueNm, stretchOf, tensionN } from '../drive/elasticBelt';
import { rollSpeedRpm, slipOf } from '../drive/rollSpeed';
import { pitchDiameterMm, pitchOdds, teethInMesh } from '../drive/toothedBelt';
import { shownIn, type UnitSystem } from '../units/unitSystem';
import { choice, count, quantity, type ValuesOf } from './fields';
import { gauge, type Figure, type GaugeAnswer, type Note } from './gauge';
import { refuse } from './readFields';

/** A belt this much longer than new has lost its pull. From memory. */
const WORN_OUT = 0.03;
/** Below this it is as good as new; between the two it is a matter of judgement. Common practice, no source. */
const AS_NEW = 0.015;
/** A tape or a rule on a belt laid flat, mm. Common practice, no source. */
const TAPE_SIGMA_MM = 1;
/** Rubber on steel or plastic, clean. From memory; it falls to less than half with dust or grease. */
const FRICTION = 0.6;
/** So much slip at working speed is more than a healthy flat belt has. Common practice, no source. */
const MUCH_SLIP = 0.05;

/** Which way the roll turns, seen beside the motor. */
const WAY: Record<BeltRun, string> = {
  open: 'as the motor turns',
  crossed: 'against the motor',
  'half-twist': 'against the motor',
  'quarter-turn': 'across the motor',
};

/** Two lengths that differ by more than the tape may: the worn one is no longer of the same belt. */
const SHORTER = 2;
/** So much stretch drives; below it slips, above it eats bearings. Common practice, no source. */
const DRIVES = [0.02, 0.15] as const;

const flat = { when: { field: 'sort', is: ['flat'] } } as const;
const lengths = { when: { field: 'sort', is: ['flat', 'compare'] } } as const;
const fitted = { when: { field: 'sort', is: ['flat', 'toothed'] } } as const;
const toothed = { when: { field: 'sort', is: ['toothed'] } } as const;

const fields = {
  sort: choice('Belt', { flat: 'Flat, elastic', compare: 'Old against new', toothed: 'Toothed' }),
  run: choice(
    'Run',
    {
      open: 'Open',
      crossed: 'Crossed',
      'half-twist': 'Half twist',
      'quarter-turn': 'Quarter turn',
    },
    fitted,
  ),
  centre: quantity('length', 'Centre distance', [5, 3000], { ...fitted, hint: 'shaft to roll, middle to middle' }),
  drive: quantity('length', 'Drive shaft or pulley', [2, 300], { ...flat, hint: 'diameter' }),
  driven: quantity('length', 'Roll’s belt track', [2, 400], { ...flat, hint: 'diameter' }),
  newLength: quantity('length', 'Free length, new', [20, 6000], { ...lengths, optional: true, hint: 'once round' }),
  wornLength: quantity('length', 'Free length, worn', [20, 6000], { ...lengths, optional: true, hint: 'once round' }),
  stretch: quantity('percent', 'Stretch wanted', [0, 40], { ...flat, rare: true, hint: '6 to 10 % is usual' }),
  width: quantity('length', 'Width', [1, 60], flat),
  thickness: quantity('length', 'Thickness', [0.3, 12], flat),
  modulus: quantity('modulus', 'Modulus of the rubber', [0.5, 60], {
    ...flat,
    rare: true,
    hint: '2 to 6 MPa; doubtful',
  }),
  span: quantity('length', 'Caliper span over teeth', [1, 400], { ...toothed, hint: 'edge to same edge' }),
  spanTeeth: count('Pitches in the span', [1, 60], toothed),
  caliper: quantity('length', 'Caliper good to', [0.005, 1], { ...toothed, rare: true }),
  profile: choice('Teeth look', { any: 'Not sure', trapezoidal: 'Flat-topped', curvilinear: 'Round' }, toothed),
  driveTeeth: count('Teeth, drive sprocket', [6, 200], toothed),
  drivenTeeth: count('Teeth, roll sprocket', [6, 200], toothed),
  beltTeeth: count('Teeth on the belt', [15, 2000], { ...toothed, optional: true }),
  motorRpm: quantity('speed', 'Motor speed', [10, 60000], { ...fitted, optional: true }),
  rollRpm: quantity('speed', 'Roll speed by tachometer', [1, 30000], { ...fitted, optional: true }),
};

type Values = ValuesOf<typeof fields>;

export const belt = gauge({
  id: 'belt',
  label: 'Belt',
  group: 'drive',
  purpose: 'Which belt, how worn, how hard it pulls, how fast the roll turns and which way.',
  version: 2,
  fields,
  formulas: [
    {
      text: 'Open belt: L = 2C cos α + (π/2)(D+d) + α(D−d), sin α = (D−d)/2C; crossed and half-twisted with the sum of the diameters.',
      source:
        'On the belt’s middle line: diameters and a thickness. Geometry; its approximation 2C + π(D+d)/2 + (D−d)²/4C is in any machine-design handbook.',
    },
    {
      text: 'Quarter turn: two runs as long as the shafts are apart, each pulley wrapped by half a turn and 2·atan(r/C).',
      source:
        'Derived here; handbooks’ (π/2)(D+d) + √(C²+D²) + √(C²+d²), from memory, is the same to a part in a thousand.',
    },
    {
      text: 'Tension = modulus × width × thickness × stretch; pull on the shaft 2·T·sin(wrap/2).',
      source: 'Hooke’s law; any machine-design handbook.',
    },
    {
      text: 'Torque at which it slips: Euler’s belt equation on the pulley that is wrapped least, friction 0.6.',
      source: 'Any machine-design handbook; the friction is from memory.',
    },
    {
      text: 'Worn out at 3 % longer than new, as new below 1.5 %.',
      source: '3 % from memory; 1.5 % common practice, no source.',
    },
    {
      text: 'Pitch of a toothed belt: odds among the standard pitches from the span and the caliper’s uncertainty.',
      source: 'ISO 5296, ISO 17396, ISO 13050: the pitches from memory.',
    },
  ],
  answers: ['belt-against-new', 'roll-speed'],
  measures: ['belt'],
  opens: { 'belt-against-new': { sort: 'compare' }, 'roll-speed': { sort: 'flat' } },
  usual: ['stretch', 'modulus', 'caliper'],
  example: {
    sort: 'flat',
    run: 'open',
    centre: '150 mm',
    drive: '12 mm',
    driven: '40 mm',
    newLength: '355 mm',
    wornLength: '368 mm',
    stretch: '8',
    width: '10 mm',
    thickness: '2 mm',
    modulus: '4 MPa',
    caliper: '0.05 mm',
    motorRpm: '12000',
    rollRpm: '3310',
  },
  reckon: (v, { units = 'metric' }) =>
    v.sort === 'compare' ? compared(v) : v.sort === 'flat' ? flatBelt(v, units) : toothedBelt(v, units),
});

/** A worn belt against a new one: what the two lengths say, and the reading for the finder. */
function wear(newMm: number, wornMm: number) {
  const lengthening = wornMm / newMm - 1;
  const sigma = (TAPE_SIGMA_MM * Math.SQRT2) / newMm;
  const percent = `${(100 * Math.abs(lengthening)).toFixed(1)} %`;
  const figure: Figure = {
    label: 'Longer than new',
    value: 100 * lengthening,
    quantity: 'percent',
    plusMinus: 100 * sigma,
  };
  const finding = { check: 'belt-against-new', value: 100 * lengthening, unit: '%' };
  if (lengthening < -SHORTER * sigma)
    return {
      figure,
      says: `The old belt is ${percent} shorter than the new one: one of them is a wrong belt, or the lengths are changed over.`,
      tone: 'bad' as const,
    };
  if (lengthening - sigma >= WORN_OUT)
    return { figure, finding, says: `Worn out: ${percent} longer than new. Fit a new one.`, tone: 'bad' as const };
  if (lengthening + sigma <= AS_NEW)
    return { figure, finding, says: `As good as new: ${percent} longer.`, tone: 'good' as const };
  return {
    figure,
    finding,
    says: `${percent} longer than new, give or take ${(100 * sigma).toFixed(1)}: worn is 3 %. A new one costs little.`,
    tone: 'doubt' as const,
  };
}

function compared(v: Values): GaugeAnswer {
  if (v.newLength === undefined) refuse('newLength', 'Needed, to be compared.');
  if (v.wornLength === undefined) refuse('wornLength', 'Needed, to be compared.');
  const { figure, says, tone, finding } = wear(v.newLength, v.wornLength);
  return { says, tone, figures: [figure], feeds: finding ? { finding } : {} };
}

/** A caliper on a shaft or a belt track, mm. Common practice, no source. */
const CALIPER_SIGMA_MM = 0.1;

/** Of the free length: the distance by tape counts twice, each diameter about one and a half times. */
function wantedSigma({ driveMm, drivenMm, centreMm }: PulleyPair, stretchPercent: number): number {
  const across = (Math.PI / 2 + Math.abs(drivenMm - driveMm) / (2 * centreMm)) * CALIPER_SIGMA_MM;
  return Math.hypot(2 * TAPE_SIGMA_MM, across, across) / (1 + stretchPercent / 100);
}

function flatBelt(v: Values, units: UnitSystem): GaugeAnswer {
  const [shaft, track, centre, thickness] = [v.drive!, v.driven!, v.centre!, v.thickness!];
  if (centre <= (shaft + track) / 2 + thickness)
    refuse('centre', 'The pulleys would touch: more than both radii and the belt’s thickness together.');
  // A belt's speed and length are those of its middle line.
  const [d, D] = [shaft + thickness, track + thickness];
  const run = v.run!;
  const pair = { driveMm: d, drivenMm: D, centreMm: centre };
  const onPulleys = beltLengthMm(run, pair);
  const wanted = onPulleys / (1 + v.stretch! / 100);
  const wraps = wrapAngles(run, pair);
  const of = (freeLengthMm: number) => {
    const tension = tensionN(
      { freeLengthMm, widthMm: v.width!, thicknessMm: thickness, modulusMPa: v.modulus! },
      onPulleys,
    );
    return {
      stretch: stretchOf(freeLengthMm, onPulleys),
      tension,
      load: shaftLoadN(tension, wraps.drive),
      torque: slipTorqueNm(tension, d, wraps, FRICTION),
    };
  };
  const figures: Figure[] = [
    { label: 'Length on the pulleys', value: onPulleys, quantity: 'length', remark: 'of its middle line' },
    { label: 'Free length wanted', value: wanted, quantity: 'length', plusMinus: wantedSigma(pair, v.stretch!) },
  ];
  const notes: Note[] = [];
  const fits = `A belt of ${shownIn('length', wanted, units)} free length fits.`;
  let says = fits;
  let tone: GaugeAnswer['tone'] = 'plain';
  let worn: ReturnType<typeof wear> | null = null;
  for (const [name, length] of [
    ['new', v.newLength],
    ['worn', v.wornLength],
  ] as const) {
    if (length === undefined) continue;
    const { stretch, tension } = of(length);
    figures.push(
      { label: `Stretch, ${name} belt`, value: 100 * stretch, quantity: 'percent' },
      { label: `Tension, ${name} belt`, value: tension, quantity: 'force' },
    );
  }
  if (v.newLength !== undefined && v.wornLength !== undefined) {
    worn = wear(v.newLength, v.wornLength);
    figures.push(worn.figure);
    ({ says, tone } = worn);
  }
  const known = v.newLength ?? v.wornLength;
  const { stretch, load, torque } = of(known ?? wanted);
  // The list of parts is asked for a belt that drives, whatever lies on the bench.
  const drives = known === undefined || (stretch >= DRIVES[0] && stretch <= DRIVES[1]);
  if (!drives) {
    const which = v.newLength === undefined ? 'This belt' : 'The new belt';
    says =
      stretch < DRIVES[0]
        ? `${which} ${stretch <= 0 ? 'hangs loose' : 'hardly pulls'} on these pulleys. ${fits}`
        : `${which} is too short for these pulleys: ${Math.round(100 * stretch)} % of stretch. ${fits}`;
    tone = 'bad';
  }
  if (stretch > DRIVES[1])
    notes.push({
      sort: 'range',
      text: 'Over 15 % of stretch rubber no longer follows Hooke’s law: take the pull as a guess.',
    });
  figures.push(
    {
      label: 'Pull on the shaft',
      value: load,
      quantity: 'force',
      remark: known === undefined ? 'with the free length wanted' : 'at rest',
    },
    { label: 'Slips at, on the shaft', value: torque * 1000, quantity: 'number', remark: 'mN·m, friction 0.6' },
  );
  if (run === 'half-twist') {
    const strain = 100 * twistStrain(v.width!, centre);
    figures.push({ label: 'Extra stretch at the edges', value: strain, quantity: 'percent', remark: 'from the twist' });
    if (strain > 3)
      notes.push({
        sort: 'range',
        text: 'So short and wide a twist wears the edges: the run should be ten widths or more.',
      });
  }
  if (run === 'quarter-turn')
    notes.push({
      sort: 'range',
      text: 'A quarter turn stays on only one way round: the belt must arrive at each pulley in that pulley’s own plane.',
    });
  const speed = speeds(v, d, D);
  figures.push(...speed.figures);
  notes.push(...speed.notes);
  // A worn belt’s length is nobody’s in the list.
  const length = drives && v.newLength !== undefined ? { mm: v.newLength, sigmaMm: TAPE_SIGMA_MM } : null;
  return {
    says,
    tone,
    figures,
    notes,
    drawings: [drawing(v, shaft, track, v.width!)],
    feeds: {
      ...(worn?.finding ? { finding: worn.finding } : speed.finding),
      ...speed.proof,
      part: {
        group: 'belt',
        sizes: [
          { name: 'length', ...(length ?? { mm: wanted, sigmaMm: 0.02 * wanted }) },
          { name: 'width', mm: v.width!, sigmaMm: 0.5 },
        ],
      },
    },
    links: bearingLink(load, v.rollRpm ?? speed.expected),
  };
}

function toothedBelt(v: Values, units: UnitSystem): GaugeAnswer {
  const odds = pitchOdds(v.span!, v.spanTeeth!, v.caliper!, v.profile === 'any' ? undefined : v.profile);
  const first = odds[0];
  const off = shownIn('length', v.span! / v.spanTeeth!, units);
  if (!first)
    return {
      says: `${off} from tooth to tooth is no standard pitch: count the pitches again.`,
      tone: 'doubt',
      figures: [
        {
          label: 'Measured pitch',
          value: v.span! / v.spanTeeth!,
          quantity: 'length',
          plusMinus: v.caliper! / v.spanTeeth!,
        },
      ],
    };
  const p = first.pitch.pitchMm;
  const [d, D] = [pitchDiameterMm(v.driveTeeth!, p), pitchDiameterMm(v.drivenTeeth!, p)];
  const [centreMm, run] = [v.centre!, v.run!];
  if (centreMm <= (d + D) / 2) refuse('centre', 'The sprockets would touch: more than both radii together.');
  const pair = { driveMm: d, drivenMm: D, centreMm };
  const teeth = beltLengthMm(run, pair) / p;
  const whole = v.beltTeeth ?? Math.round(teeth);
  const mesh = teethInMesh(
    Math.min(v.driveTeeth!, v.drivenTeeth!),
    Math.min(wrapAngles(run, pair).drive, wrapAngles(run, pair).driven),
  );
  const figures: Figure[] = [
    {
      label: 'Measured pitch',
      value: v.span! / v.spanTeeth!,
      quantity: 'length',
      plusMinus: v.caliper! / v.spanTeeth!,
    },
    { label: 'Teeth for this distance', value: teeth, quantity: 'number' },
    { label: 'Pitch length', value: whole * p, quantity: 'length', remark: `${whole} teeth` },
    { label: 'Pitch circles', value: d, quantity: 'length', remark: `and ${D.toFixed(2)} mm` },
    { label: 'Teeth in mesh', value: mesh, quantity: 'number', remark: 'on the smaller sprocket' },
  ];
  const notes: Note[] = [];
  try {
    const centre = centreForLengthMm(run, whole * p, d, D);
    figures.push({ label: 'Centre distance', value: centre, quantity: 'length', remark: `for ${whole} teeth` });
    if (Math.abs(centre - centreMm) > 0.01 * centreMm)
      notes.push({
        sort: 'advice',
        text: `${whole} teeth want ${shownIn('length', centre, units)}; you measured ${shownIn('length', centreMm, units)}.`,
      });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    refuse('beltTeeth', 'A belt of so few teeth does not go round these sprockets.');
  }
  if (mesh < 6) notes.push({ sort: 'range', text: 'Fewer than 6 teeth in mesh: it will jump sooner (from memory).' });
  if (run !== 'open')
    notes.push({ sort: 'range', text: 'Toothed belts are made to run open; a twisted one wears its edges.' });
  const speed = speeds(v, v.driveTeeth!, v.drivenTeeth!);
  const sure = first.probability;
  const label = `${first.pitch.id} (${p} mm)`;
  return {
    says:
      sure > 0.9
        ? `${label}, ${whole} teeth.`
        : `${Math.round(100 * sure)} % ${label}: measure over more teeth to be sure.`,
    tone: sure > 0.9 ? 'good' : 'doubt',
    figures: [...figures, ...speed.figures],
    likely: odds
      .filter((o) => o.probability > 0.005)
      .slice(0, 4)
      .map((o) => ({
        label: `${o.pitch.id}, ${o.pitch.pitchMm} mm, ${o.pitch.profile}`,
        probability: o.probability,
        detail: `${o.offMm >= 0 ? '+' : ''}${o.offMm.toFixed(2)} mm off`,
      })),
    notes: [...notes, ...speed.notes],
    drawings: [drawing(v, d, D, 8)],
    feeds: {
      ...speed.finding,
      ...speed.proof,
      part: { group: 'belt', sizes: [{ name: 'length', mm: whole * p, sigmaMm: 0.3 }] },
    },
  };
}

/** Roll speed, slip and direction, as far as the speeds are known. */
function speeds(v: Values, drive: number, driven: number) {
  const figures: Figure[] = [];
  const notes: Note[] = [];
  const expected = v.motorRpm === undefined ? undefined : rollSpeedRpm(v.motorRpm, drive, driven);
  if (expected !== undefined)
    figures.push({
      label: 'Roll speed without slip',
      value: expected,
      quantity: 'speed',
      remark: WAY[v.run!],
    });
  if (expected !== undefined && v.rollRpm !== undefined) {
    const slip = slipOf(v.rollRpm, expected);
    figures.push({ label: 'Slip', value: 100 * slip, quantity: 'percent' });
    if (slip < -0.01)
      notes.push({
        sort: 'range',
        text: 'The roll cannot outrun its motor: one of the two speeds or a diameter is wrong.',
      });
    else if (slip > (v.sort === 'toothed' ? 0.005 : MUCH_SLIP))
      notes.push({
        sort: 'advice',
        text:
          v.sort === 'toothed'
            ? 'A toothed belt does not slip, it jumps: look at its teeth and at the motor’s speed.'
            : 'More slip than a good belt has: worn, greasy, or the roll drags.',
      });
  }
  const rpm = v.rollRpm;
  const finding = rpm === undefined ? {} : { finding: { check: 'roll-speed', value: rpm, unit: 'r/min' } };
  const holds = expected !== undefined && rpm !== undefined && slipOf(rpm, expected) <= MUCH_SLIP;
  const proof =
    expected === undefined || rpm === undefined
      ? {}
      : {
          proof: {
            item: 'roll-speed',
            result: holds ? ('pass' as const) : ('fail' as const),
            after: rpm,
            note: `${expected.toFixed(0)} r/min without slip`,
          },
        };
  return { figures, notes, expected, finding, proof };
}

function bearingLink(load: number, rpm: number | undefined): GaugeAnswer['links'] {
  if (!(load > 0)) return [];
  return [
    {
      gauge: 'bearing',
      label: 'Put this pull into the bearing’s life',
      fill: { load: `${load.toFixed(1)} N`, ...(rpm ? { speed: `${rpm.toFixed(0)} r/min` } : {}) },
    },
  ];
}

function drawing(v: Values, d: number, D: number, widthMm: number): NonNullable<GaugeAnswer['drawings']>[number] {
  return {
    draw: 'belt',
    run: v.run!,
    widthMm,
    toothed: v.sort === 'toothed',
    circles: [
      { xMm: 0, yMm: 0, diameterMm: d, label: 'motor', sense: 1 },
      { xMm: v.centre!, yMm: 0, diameterMm: D, label: 'roll', sense: senseOf(v.run!) },
    ],
  };
}
