import { Measured, Part, Rise, Span, type Place } from './marks';

export const flatBelt: Place = {
  says: 'Centre distance is from the middle of the drive shaft to the middle of the roll; the two diameters are where the belt runs; width and thickness are of the belt laid flat.',
  line: 'drive',
  height: 150,
  draw: (
    <>
      <circle cx="70" cy="66" r="12" />
      <circle cx="226" cy="66" r="30" />
      <path d="M69 54 L223 36 M69 78 L223 96" strokeWidth="3.5" opacity="0.6" />
      <Span from={70} to={226} y={122} name="centre" field="centre" below />
      <path d="M70 66 V126 M226 66 V126" strokeDasharray="2 3" opacity="0.5" />
      <Measured field="drive" name="shaft" x={70} y={24}>
        <path d="M58 66 H82 M58 62 V70 M82 62 V70 M70 54 V30" />
      </Measured>
      <Measured field="driven" name="roll’s belt track" x={226} y={16}>
        <path d="M196 66 H256 M196 62 V70 M256 62 V70 M226 36 V22" />
      </Measured>
      <rect x="288" y="62" width="66" height="9" />
      <Part x={324} y={112} name="the belt, cut across" anchor="middle" />
      <Span from={288} to={354} y={50} name="width" field="width" />
      <Rise x={364} from={62} to={71} name="thick" field="thickness" />
    </>
  ),
};

export const oldAgainstNew: Place = {
  says: 'Both belts are laid flat and measured once round: the worn one and a new one of the same part.',
  line: 'drive',
  height: 96,
  draw: (
    <>
      <path d="M40 26 H150 A12 12 0 0 1 150 50 H40 A12 12 0 0 1 40 26" strokeWidth="3" opacity="0.6" />
      <path d="M250 26 H372 A12 12 0 0 1 372 50 H250 A12 12 0 0 1 250 26" strokeWidth="3" opacity="0.6" />
      <Span from={28} to={162} y={68} name="once round, new" field="newLength" below />
      <Span from={238} to={384} y={68} name="once round, worn" field="wornLength" below />
    </>
  ),
};

export const toothedBelt: Place = {
  says: 'The caliper goes from the edge of one tooth to the same edge of another, several pitches away; teeth are counted on both sprockets.',
  line: 'drive',
  height: 126,
  draw: (
    <>
      <path d="M24 62 H238" strokeWidth="3" />
      {Array.from({ length: 11 }, (_, i) => (
        <path key={i} d={`M${30 + 19 * i} 62 V74 H${40 + 19 * i} V62`} />
      ))}
      <Span from={49} to={201} y={46} name="span" field="span" />
      <path d="M49 46 V60 M201 46 V60" strokeDasharray="2 3" opacity="0.5" />
      <Measured field="spanTeeth" name="pitches in it" x={125} y={94}>
        <path d="M49 80 H201" strokeDasharray="8 11" />
      </Measured>
      <circle cx="300" cy="62" r="17" strokeDasharray="4 3.2" strokeWidth="4" />
      <circle cx="386" cy="62" r="29" strokeDasharray="4 3.2" strokeWidth="4" />
      <path d="M299 44 L384 32 M299 80 L384 92" opacity="0.5" />
      <Measured field="driveTeeth" name="drive" x={300} y={110}>
        <path d="M300 66 V96" opacity="0.6" />
      </Measured>
      <Measured field="drivenTeeth" name="roll" x={386} y={118}>
        <path d="M386 66 V104" opacity="0.6" />
      </Measured>
    </>
  ),
};

export const bearing: Place = {
  says: 'Bore is the hole, outer diameter is across the outer ring, width is along the shaft.',
  line: 'drive',
  height: 112,
  draw: (
    <>
      <circle cx="110" cy="62" r="40" />
      <circle cx="110" cy="62" r="30" opacity="0.6" />
      <circle cx="110" cy="62" r="22" opacity="0.6" />
      <circle cx="110" cy="62" r="14" />
      <path d="M310 22 H342 V102 H310 Z M310 36 H342 M310 88 H342" />
      <Measured field="bore" name="bore" x={180} y={66} anchor="start">
        <path d="M96 58 V66 M124 58 V66 M96 62 H124 M124 62 H176" />
      </Measured>
      <Span from={70} to={150} y={14} name="outer" field="outer" />
      <Span from={310} to={342} y={14} name="width" field="width" />
    </>
  ),
};

export const roll: Place = {
  says: 'Stand-out: from the sole plate down to the tips of the bristles, measured at the same place each time.',
  line: 'drive',
  height: 92,
  draw: (
    <>
      <path d="M40 44 H150 M230 44 H360" strokeWidth="4" />
      <circle cx="190" cy="36" r="24" />
      <path d="M190 60 V78 M178 57 L172 74 M202 57 L208 74 M168 46 L154 56 M212 46 L226 56" />
      <path d="M40 78 H360" strokeDasharray="3 4" opacity="0.7" />
      <Rise x={250} from={44} to={78} name="stand-out" field="readings" />
      <Part x={52} y={36} name="sole plate" />
      <Part x={52} y={90} name="line of the tips" />
    </>
  ),
};
