import { beltLengthMm, centreForLengthMm, senseOf, twistStrain, wrapAngles, type BeltRun } from '../drive/beltLength';
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

const flat = { when: { field: 'sort', is: ['flat'] } } as const;
const toothed = { when: { field: 'sort', is: ['toothed'] } } as const;

const fields = {
  sort: choice('Belt', { flat: 'Flat, elastic', toothed: 'Toothed' }),
  run: choice('Run', {
    open: 'Open',
    crossed: 'Crossed',
    'half-twist': 'Half twist',
    'quarter-turn': 'Quarter turn',
  }),
  centre: quantity('length', 'Centre distance', [5, 3000], { hint: 'shaft to roll, middle to middle' }),
  drive: quantity('length', 'Drive shaft or pulley', [2, 300], { ...flat, hint: 'diameter' }),
  driven: quantity('length', 'Roll’s belt track', [2, 400], { ...flat, hint: 'diameter' }),
  newLength: quantity('length', 'Free length, new', [20, 6000], { ...flat, optional: true, hint: 'once round' }),
  wornLength: quantity('length', 'Free length, worn', [20, 6000], { ...flat, optional: true, hint: 'once round' }),
  stretch: quantity('percent', 'Stretch wanted', [0, 40], { ...flat, hint: '6 to 10 % is usual' }),
  width: quantity('length', 'Width', [1, 60], flat),
  thickness: quantity('length', 'Thickness', [0.3, 12], flat),
  modulus: quantity('modulus', 'Modulus of the rubber', [0.5, 60], { ...flat, hint: '2 to 6 MPa; doubtful' }),
  span: quantity('length', 'Caliper span over teeth', [1, 400], { ...toothed, hint: 'edge to same edge' }),
  spanTeeth: count('Pitches in the span', [1, 60], toothed),
  caliper: quantity('length', 'Caliper good to', [0.005, 1], toothed),
  profile: choice('Teeth look', { any: 'Not sure', trapezoidal: 'Flat-topped', curvilinear: 'Round' }, toothed),
  driveTeeth: count('Teeth, drive sprocket', [6, 200], toothed),
  drivenTeeth: count('Teeth, roll sprocket', [6, 200], toothed),
  beltTeeth: count('Teeth on the belt', [15, 2000], { ...toothed, optional: true }),
  motorRpm: quantity('speed', 'Motor speed', [10, 60000], { optional: true }),
  rollRpm: quantity('speed', 'Roll speed by tachometer', [1, 30000], { optional: true }),
};

type Values = ValuesOf<typeof fields>;

export const belt = gauge({
  id: 'belt',
  label: 'Belt',
  purpose: 'Which belt, how worn, how hard it pulls, how fast the roll turns and which way.',
  version: 1,
  fields,
  formulas: [
    {
      text: 'Open belt: L = 2C cos α + (π/2)(D+d) + α(D−d), sin α = (D−d)/2C; crossed and half-twisted with the sum of the diameters.',
      source: 'Geometry; its approximation 2C + π(D+d)/2 + (D−d)²/4C is in any machine-design handbook.',
    },
    {
      text: 'Quarter turn: two straight runs between tangent points in space and half of each pulley.',
      source: 'Derived here.',
    },
    {
      text: 'Tension = modulus × width × thickness × stretch; pull on the shaft 2·T·sin(wrap/2).',
      source: 'Hooke’s law; any machine-design handbook.',
    },
    {
      text: 'Torque at which it slips: Euler’s belt equation, friction 0.6.',
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
  reckon: (v, { units = 'metric' }) => (v.sort === 'flat' ? flatBelt(v, units) : toothedBelt(v, units)),
});

function flatBelt(v: Values, units: UnitSystem): GaugeAnswer {
  const [d, D] = [v.drive!, v.driven!];
  if (v.centre <= (d + D) / 2) refuse('centre', 'The pulleys would touch: more than both radii together.');
  const pair = { driveMm: d, drivenMm: D, centreMm: v.centre };
  const fitted = beltLengthMm(v.run, pair);
  const wanted = fitted / (1 + v.stretch! / 100);
  const wrap = wrapAngles(v.run, pair);
  const of = (freeLengthMm: number) => {
    const tension = tensionN(
      { freeLengthMm, widthMm: v.width!, thicknessMm: v.thickness!, modulusMPa: v.modulus! },
      fitted,
    );
    return { tension, load: shaftLoadN(tension, wrap.drive), torque: slipTorqueNm(tension, d, wrap.drive, FRICTION) };
  };
  const figures: Figure[] = [
    { label: 'Length on the pulleys', value: fitted, quantity: 'length' },
    { label: 'Free length wanted', value: wanted, quantity: 'length', plusMinus: TAPE_SIGMA_MM },
  ];
  const notes: Note[] = [];
  let says = `A belt of ${shownIn('length', wanted, units)} free length fits.`;
  let tone: GaugeAnswer['tone'] = 'plain';
  let lengthening: number | undefined;
  if (v.newLength !== undefined) {
    const pull = of(v.newLength);
    figures.push(
      { label: 'Stretch, new belt', value: 100 * stretchOf(v.newLength, fitted), quantity: 'percent' },
      { label: 'Tension, new belt', value: pull.tension, quantity: 'force' },
    );
    if (stretchOf(v.newLength, fitted) > 0.15)
      notes.push({
        sort: 'range',
        text: 'Over 15 % of stretch rubber no longer follows Hooke’s law: take the pull as a guess.',
      });
  }
  if (v.wornLength !== undefined) {
    const pull = of(v.wornLength);
    figures.push(
      { label: 'Stretch, worn belt', value: 100 * stretchOf(v.wornLength, fitted), quantity: 'percent' },
      { label: 'Tension, worn belt', value: pull.tension, quantity: 'force' },
    );
  }
  if (v.newLength !== undefined && v.wornLength !== undefined) {
    lengthening = v.wornLength / v.newLength - 1;
    const sigma = (TAPE_SIGMA_MM * Math.SQRT2) / v.newLength;
    figures.push({ label: 'Longer than new', value: 100 * lengthening, quantity: 'percent', plusMinus: 100 * sigma });
    const percent = `${(100 * lengthening).toFixed(1)} %`;
    if (lengthening - sigma >= WORN_OUT) {
      says = `Worn out: ${percent} longer than new. Fit a new one.`;
      tone = 'bad';
    } else if (lengthening + sigma <= AS_NEW) {
      says = `As good as new: ${percent} longer.`;
      tone = 'good';
    } else {
      says = `${percent} longer than new, give or take ${(100 * sigma).toFixed(1)}: worn is 3 %. A new one costs little.`;
      tone = 'doubt';
    }
  }
  const pulled = v.newLength ?? v.wornLength;
  const pull = of(pulled ?? wanted);
  figures.push(
    {
      label: 'Pull on the shaft',
      value: pull.load,
      quantity: 'force',
      remark: pulled === undefined ? 'with the free length wanted' : 'at rest',
    },
    { label: 'Slips at, on the shaft', value: pull.torque * 1000, quantity: 'number', remark: 'mN·m, friction 0.6' },
  );
  if (v.run === 'half-twist') {
    const strain = 100 * twistStrain(v.width!, v.centre);
    figures.push({ label: 'Extra stretch at the edges', value: strain, quantity: 'percent', remark: 'from the twist' });
    if (strain > 3)
      notes.push({
        sort: 'range',
        text: 'So short and wide a twist wears the edges: the run should be ten widths or more.',
      });
  }
  if (v.run === 'quarter-turn')
    notes.push({
      sort: 'range',
      text: 'A quarter turn stays on only one way round: the belt must arrive at each pulley in that pulley’s own plane.',
    });
  const speed = speeds(v, d, D);
  figures.push(...speed.figures);
  notes.push(...speed.notes);
  return {
    says,
    tone,
    figures,
    notes,
    drawings: [drawing(v, d, D, v.width!)],
    feeds: {
      ...(lengthening !== undefined && lengthening > -0.5
        ? { finding: { check: 'belt-against-new', value: 100 * lengthening, unit: '%' } }
        : speed.finding),
      ...speed.proof,
      part: {
        group: 'belt',
        sizes: [
          { name: 'length', mm: v.newLength ?? wanted, sigmaMm: v.newLength ? TAPE_SIGMA_MM : 0.02 * wanted },
          { name: 'width', mm: v.width!, sigmaMm: 0.5 },
        ],
      },
    },
    links: bearingLink(pull.load, v.rollRpm ?? speed.expected),
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
  if (v.centre <= (d + D) / 2) refuse('centre', 'The sprockets would touch: more than both radii together.');
  const pair = { driveMm: d, drivenMm: D, centreMm: v.centre };
  const teeth = beltLengthMm(v.run, pair) / p;
  const whole = v.beltTeeth ?? Math.round(teeth);
  const mesh = teethInMesh(
    Math.min(v.driveTeeth!, v.drivenTeeth!),
    Math.min(wrapAngles(v.run, pair).drive, wrapAngles(v.run, pair).driven),
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
    const centre = centreForLengthMm(v.run, whole * p, d, D);
    figures.push({ label: 'Centre distance', value: centre, quantity: 'length', remark: `for ${whole} teeth` });
    if (Math.abs(centre - v.centre) > 0.01 * v.centre)
      notes.push({
        sort: 'advice',
        text: `${whole} teeth want ${shownIn('length', centre, units)}; you measured ${shownIn('length', v.centre, units)}.`,
      });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    refuse('beltTeeth', 'A belt of so few teeth does not go round these sprockets.');
  }
  if (mesh < 6) notes.push({ sort: 'range', text: 'Fewer than 6 teeth in mesh: it will jump sooner (from memory).' });
  if (v.run !== 'open')
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
      remark: WAY[v.run],
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
    run: v.run as BeltRun,
    widthMm,
    toothed: v.sort === 'toothed',
    circles: [
      { xMm: 0, yMm: 0, diameterMm: d, label: 'motor', sense: 1 },
      { xMm: v.centre, yMm: 0, diameterMm: D, label: 'roll', sense: senseOf(v.run) },
    ],
  };
}
