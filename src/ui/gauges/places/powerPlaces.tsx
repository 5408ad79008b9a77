import { Measured, Meter, Part, Span, type Place } from './marks';

export const supply: Place = {
  says: 'The socket of the head: the two outer contacts carry the mains, the meter goes across them.',
  line: 'power',
  height: 92,
  draw: (
    <>
      <rect x="60" y="34" width="180" height="34" rx="17" />
      <circle cx="92" cy="51" r="6" fill="currentColor" />
      <circle cx="134" cy="51" r="4" />
      <circle cx="166" cy="51" r="4" />
      <circle cx="208" cy="51" r="6" fill="currentColor" />
      <Measured field="read" name="outer contacts, volts AC" x={150} y={86}>
        <path d="M92 45 V18 H300 V34 M208 45 V26 H286 V34" />
        <circle cx="293" cy="50" r="16" />
        <path d="M293 54 L301 42" />
      </Measured>
    </>
  ),
};

export const cord: Place = {
  says: 'The length of a cord is one way, from its plug to the machine; the load is what the plate says that goes in.',
  line: 'power',
  height: 106,
  draw: (
    <>
      <path d="M24 40 H40 V52 H24 Z M18 43 H24 M18 49 H24" />
      <path d="M40 46 C120 46 120 66 200 66 S290 46 330 46" strokeWidth="3" opacity="0.6" />
      <rect x="330" y="26" width="78" height="40" rx="6" />
      <rect x="344" y="36" width="34" height="16" rx="2" opacity="0.7" />
      <Part x={361} y={48} name="plate" anchor="middle" />
      <Span from={40} to={330} y={84} name="length, one way" field="length" below />
    </>
  ),
};

/** The tests in their order, as somebody does them. */
export const safety: Place = {
  says: 'First it is looked over; then earth, from the earth pin to bare metal; insulation, from both live pins joined to bare metal, its switch on; and only then, with power, the current in the earth conductor and to the touch.',
  line: 'power',
  height: 190,
  draw: (
    <>
      <path d="M70 72 H96 V116 H70 Z" />
      <path d="M58 80 H70 M58 94 H70 M58 108 H70" strokeWidth="3" />
      <path d="M96 94 C140 94 140 120 190 120 S236 96 262 96" strokeWidth="3" opacity="0.6" />
      <rect x="262" y="62" width="120" height="66" rx="10" />
      <path d="M330 62 V48 H344 V62" />
      <Part x={350} y={50} name="bare metal" />
      <Part x={322} y={100} name="machine" anchor="middle" />
      <Part x={54} y={84} name="live" anchor="end" />
      <Part x={54} y={112} name="live" anchor="end" />
      <Part x={54} y={98} name="earth" anchor="end" />
      <Measured field="visual" name="1 looked over" x={34} y={20} anchor="start">
        <circle cx="20" cy="15" r="6" />
        <path d="M24 19 L29 25" />
      </Measured>
      <Measured field="earth" name="2 earth" x={230} y={18}>
        <Meter x={230} y={36} a={[60, 94]} b={[337, 50]} />
      </Measured>
      <Measured field="insulation" name="3 insulation, switch on" x={110} y={184}>
        <Meter x={110} y={164} a={[62, 108]} b={[300, 128]} />
        <path d="M62 80 V108" strokeDasharray="2 3" />
      </Measured>
      <Measured field="protective" name="4 earth current" x={128} y={88} anchor="start">
        <circle cx="116" cy="96" r="7" />
      </Measured>
      <Measured field="touch" name="5 to the touch" x={436} y={146} anchor="end">
        <path d="M382 88 H394 M394 80 V120 M388 120 H400 M390 124 H398" />
      </Measured>
      <Part x={436} y={162} name="4 and 5 with power" anchor="end" />
    </>
  ),
};

export const bars: Place = {
  says: 'The probes stand on two neighbouring bars of the commutator, then on the next pair, all the way round; then from any bar to the shaft.',
  line: 'power',
  height: 118,
  draw: (
    <>
      {Array.from({ length: 16 }, (_, i) => {
        const at = ((i + 0.5) * Math.PI) / 8 - Math.PI / 2;
        const [c, s] = [Math.cos(at), Math.sin(at)].map((n) => Number(n.toFixed(4))) as [number, number];
        return (
          <path
            key={i}
            d={`M${130 + 22 * c} ${68 + 22 * s} L${130 + 40 * c} ${68 + 40 * s}`}
            strokeWidth="11"
            opacity={i === 0 || i === 15 ? 0.85 : 0.35}
          />
        );
      })}
      <circle cx="130" cy="68" r="12" />
      <Measured field="readings" name="bar to bar" x={164} y={16} anchor="start">
        <path d="M122 30 L104 8 M138 30 L156 8" />
      </Measured>
      <Measured field="toShaft" name="bar to shaft" x={222} y={104} anchor="start">
        <path d="M168 84 L216 96 M136 76 L216 106" />
      </Measured>
    </>
  ),
};

const coil = (x: number) => `M${x} 54 ${Array.from({ length: 5 }, () => 'q7 -26 14 0').join(' ')}`;

export const twin: Place = {
  says: 'The winding and its twin, each with its own temperature: warm copper has more ohms. Then from the winding to the frame.',
  line: 'power',
  height: 132,
  draw: (
    <>
      <path d={coil(60)} strokeWidth="2.4" />
      <path d={coil(280)} strokeWidth="2.4" />
      <path d="M48 82 H142 V92 H48 Z M268 82 H362 V92 H268 Z" opacity="0.5" />
      <Part x={95} y={106} name="this one, its frame" anchor="middle" />
      <Part x={315} y={106} name="its twin, or the plate" anchor="middle" />
      <Measured field="ohm" name="measured" x={95} y={14}>
        <path d="M60 54 V24 H82 M130 54 V24 H108" />
        <circle cx="95" cy="24" r="9" fill="var(--paper)" />
      </Measured>
      <Measured field="twinOhm" name="twin" x={315} y={14}>
        <path d="M280 54 V24 H302 M350 54 V24 H328" />
        <circle cx="315" cy="24" r="9" fill="var(--paper)" />
      </Measured>
      <Measured field="at" name="warm" x={160} y={52} anchor="start">
        <path d="M150 34 V56" strokeWidth="4" />
      </Measured>
      <Measured field="twinAt" name="warm" x={380} y={52} anchor="start">
        <path d="M370 34 V56" strokeWidth="4" />
      </Measured>
      <Measured field="toFrame" name="winding to frame" x={30} y={126} anchor="start">
        <path d="M60 54 H24 V110 H40 L52 92" />
      </Measured>
    </>
  ),
};

export const brush: Place = {
  says: 'A carbon brush is measured along its length, from the face that runs on the commutator to the shoulder of its spring.',
  line: 'power',
  height: 116,
  draw: (
    <>
      <path d="M60 34 H200 V66 H60 Z" />
      <path d="M200 50 h12 l4 -8 l6 16 l6 -16 l6 16 l4 -8 h14" />
      <path d="M44 26 Q58 50 44 74" strokeWidth="3" opacity="0.6" />
      <Part x={40} y={22} name="commutator" anchor="middle" />
      <Span from={60} to={200} y={88} name="now" field="nowMm" below />
      <path d="M140 34 V66" strokeDasharray="3 3" />
      <Span from={140} to={200} y={24} name="replace at" field="leastMm" />
      <path d="M290 34 H410 V66 H290 Z" opacity="0.6" />
      <Span from={290} to={410} y={88} name="new" field="newMm" below />
    </>
  ),
};

export const shims: Place = {
  says: 'Float is how far the shaft moves from end to end; stand-off is the distance of the fan from its plate.',
  line: 'power',
  height: 106,
  draw: (
    <>
      <path d="M24 56 H330" strokeWidth="6" opacity="0.4" />
      <rect x="120" y="30" width="110" height="52" />
      <path d="M90 28 V92 M270 28 V92" strokeWidth="5" opacity="0.7" />
      <path d="M48 30 V82" strokeWidth="8" opacity="0.85" />
      <Part x={48} y={98} name="fan" anchor="middle" />
      <Part x={175} y={76} name="armature" anchor="middle" />
      <Part x={282} y={90} name="commutator’s end" />
      <Span from={53} to={88} y={22} name="stand-off" field="standOff" />
      <Span from={231} to={268} y={22} name="float" field="gap" />
    </>
  ),
};

const CELLS = [0, 1, 2, 3, 4];

export const cells: Place = {
  says: 'The meter goes across one cell at a time, from the first to the last, at rest; the order is kept, so that a low one can be found again.',
  line: 'power',
  height: 112,
  draw: (
    <>
      {CELLS.map((i) => (
        <g key={i}>
          <rect x={40 + 56 * i} y="34" width="40" height="56" rx="5" opacity={i === 1 ? 1 : 0.55} />
          <path d={`M${54 + 56 * i} 34 V28 H${66 + 56 * i} V34`} opacity={i === 1 ? 1 : 0.55} />
          <Part x={60 + 56 * i} y={78} name={`${i + 1}`} anchor="middle" />
        </g>
      ))}
      <Measured field="volts" name="one cell at a time" x={330} y={36} anchor="start">
        <path d="M116 28 V12 H352 V22 M116 90 V98 H352 V78" />
        <circle cx="352" cy="60" r="16" />
        <path d="M352 64 L360 52" />
      </Measured>
    </>
  ),
};

export const leadAcid: Place = {
  says: 'Voltage across the poles, hours after charge and load; the specific gravity of flooded cells with a hydrometer, and the temperature of the acid with it.',
  line: 'power',
  height: 140,
  draw: (
    <>
      <rect x="60" y="46" width="190" height="70" rx="4" />
      <path d="M84 46 V36 H100 V46 M210 46 V36 H226 V46" strokeWidth="2.4" />
      {[0, 1, 2, 3, 4].map((i) => (
        <circle key={i} cx={115 + 20 * i} cy="46" r="5" />
      ))}
      <path d="M60 66 H250" strokeDasharray="4 4" opacity="0.6" />
      <Part x={155} y={92} name="cells in one case" anchor="middle" />
      <Measured field="restVolts" name="at rest" x={155} y={14}>
        <path d="M92 36 V22 H146 M218 36 V22 H164" />
        <circle cx="155" cy="24" r="9" fill="var(--paper)" />
      </Measured>
      <Measured field="gravity" name="gravity" x={330} y={44} anchor="start">
        <path d="M300 20 h16 v60 l-5 10 h-6 l-5 -10 Z M308 34 v26 M304 60 h8" />
      </Measured>
      <Measured field="acid" name="acid" x={330} y={70} anchor="start">
        <path d="M316 66 H326" />
      </Measured>
      <Measured field="cellCount" name="cells" x={155} y={136}>
        <path d="M110 118 V122 H200 V118" />
      </Measured>
    </>
  ),
};
