import Box from '@mui/material/Box';
import type { ReactNode } from 'react';
import type { RawValues } from '@/core/gauges/fields';
import { fonts } from '../theme/palette';

interface Place {
  /** The same in words, for whoever does not see it. */
  says: string;
  line: string;
  height: number;
  draw: ReactNode;
}

/** A place at which something is held, with the name of its field. */
function Spot({
  x,
  y,
  to,
  name,
  anchor = 'middle',
}: {
  x: number;
  y: number;
  to: number;
  name: string;
  anchor?: 'start' | 'middle' | 'end';
}) {
  return (
    <g data-measured="">
      <path d={`M${x} ${y} V${to}`} />
      <circle cx={x} cy={y} r="3.2" fill="currentColor" />
      <text x={x} y={to < y ? to - 4 : to + 12} textAnchor={anchor}>
        {name}
      </text>
    </g>
  );
}

/** What a part of the drawing is called. */
function Part({ x, y, name, anchor = 'start' }: { x: number; y: number; name: string; anchor?: 'start' | 'middle' }) {
  return (
    <text x={x} y={y} textAnchor={anchor} data-part="">
      {name}
    </text>
  );
}

/** A distance between two marks, with the name of its field. */
function Span({ from, to, y, name }: { from: number; to: number; y: number; name: string }) {
  return (
    <g data-measured="">
      <path d={`M${from} ${y - 4} V${y + 4} M${to} ${y - 4} V${y + 4} M${from} ${y} H${to}`} />
      <text x={(from + to) / 2} y={y - 6} textAnchor="middle">
        {name}
      </text>
    </g>
  );
}

const air: Place = {
  says: 'Stations from the floor to the motor: at the neck, the wand’s upper end, the machine’s inlet, before the filter, at the motor.',
  line: 'air',
  height: 104,
  draw: (
    <>
      <path d="M6 62 H44 L58 50 H74" />
      <path d="M6 62 H44" strokeWidth="6" opacity="0.5" />
      <path d="M74 46 H150 M74 54 H150" />
      <path d="M150 46 C170 34 180 66 200 54 S226 40 240 46 M150 54 C170 42 180 74 200 62 S226 48 240 54" />
      <path d="M240 34 H300 V70 H240 Z M306 38 H322 V66 H306 Z M310 38 V66 M314 38 V66 M318 38 V66" />
      <circle cx="366" cy="52" r="22" />
      <path d="M366 38 V66 M352 52 H380" opacity="0.6" />
      <path d="M300 52 H306 M322 52 H344 M388 52 H430 M422 48 L430 52 L422 56" />
      <Part x={25} y={80} name="head" anchor="middle" />
      <Part x={112} y={68} name="wand" anchor="middle" />
      <Part x={194} y={84} name="hose" anchor="middle" />
      <Part x={270} y={84} name="bin" anchor="middle" />
      <Part x={314} y={84} name="filter" anchor="middle" />
      <Part x={366} y={88} name="motor" anchor="middle" />

      <Spot x={70} y={50} to={30} name="neck" />
      <Spot x={147} y={50} to={18} name="wand’s upper end" />
      <Spot x={237} y={50} to={30} name="machine’s inlet" />
      <Spot x={303} y={52} to={18} name="before the filter" />
      <Spot x={340} y={52} to={30} name="at the motor" anchor="start" />
    </>
  ),
};

const supply: Place = {
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
      <g data-measured="">
        <path d="M92 45 V18 H300 V34 M208 45 V26 H286 V34" />
        <circle cx="293" cy="50" r="16" />
        <path d="M293 54 L301 42" />
        <text x="150" y="86" textAnchor="middle">
          outer contacts, volts AC
        </text>
      </g>
    </>
  ),
};

const bearing: Place = {
  says: 'Bore is the hole, outer diameter is across the outer ring, width is along the shaft.',
  line: 'drive',
  height: 112,
  draw: (
    <>
      <circle cx="110" cy="62" r="40" />
      <circle cx="110" cy="62" r="30" opacity="0.6" />
      <circle cx="110" cy="62" r="22" opacity="0.6" />
      <circle cx="110" cy="62" r="14" />
      <path d="M250 22 H282 V102 H250 Z M250 36 H282 M250 88 H282" />
      <g data-measured="">
        <path d="M96 58 V66 M124 58 V66 M96 62 H124 M124 62 H176" />
        <text x="180" y="66">
          bore
        </text>
      </g>
      <Span from={70} to={150} y={14} name="outer" />
      <Span from={250} to={282} y={14} name="width" />
    </>
  ),
};

const roll: Place = {
  says: 'Stand-out: from the sole plate down to the tips of the bristles, measured at the same place each time.',
  line: 'drive',
  height: 92,
  draw: (
    <>
      <path d="M40 44 H150 M230 44 H360" strokeWidth="4" />
      <circle cx="190" cy="36" r="24" />
      <path d="M190 60 V78 M178 57 L172 74 M202 57 L208 74 M168 46 L154 56 M212 46 L226 56" />
      <path d="M40 78 H360" strokeDasharray="3 4" opacity="0.7" />
      <g data-measured="">
        <path d="M250 44 V78 M244 44 H256 M244 78 H256" />
        <text x="262" y="66">
          stand-out
        </text>
      </g>
      <Part x={52} y={36} name="sole plate" />
      <Part x={52} y={90} name="line of the tips" />
    </>
  ),
};

const bars: Place = {
  says: 'The probes stand on two neighbouring bars of the commutator, then on the next pair, all the way round; then from any bar to the shaft.',
  line: 'power',
  height: 118,
  draw: (
    <>
      {Array.from({ length: 16 }, (_, i) => {
        const at = ((i + 0.5) * Math.PI) / 8 - Math.PI / 2;
        const [c, s] = [Math.cos(at), Math.sin(at)];
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
      <g data-measured="">
        <path d="M122 30 L104 8 M138 30 L156 8" />
        <text x="164" y="16">
          bar to bar
        </text>
        <path d="M168 84 L216 96 M136 76 L216 106" />
        <text x="222" y="104">
          bar to shaft
        </text>
      </g>
    </>
  ),
};

const shims: Place = {
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

      <Span from={53} to={88} y={22} name="stand-off" />
      <Span from={231} to={268} y={22} name="float" />
    </>
  ),
};

/** Where to hold what, by gauge and by what is asked of it. */
function placeOf(gauge: string, typed: RawValues): Place | null {
  switch (gauge) {
    case 'air-path':
      return typed['asks'] === 'clog' ? air : null;
    case 'supply-and-cord':
      return typed['asks'] === 'reading' && typed['roll'] !== 'none' ? supply : null;
    case 'winding':
      return typed['asks'] === 'bars' ? bars : null;
    case 'bearing':
      return bearing;
    case 'roll':
      return roll;
    case 'shims':
      return shims;
    default:
      return null;
  }
}

/** The thing with the places at which it is measured, named as the fields below are. */
export function GaugePlaces({ gauge, typed }: { gauge: string; typed: RawValues }) {
  const place = placeOf(gauge, typed);
  if (!place) return null;
  return (
    <Box
      component="svg"
      viewBox={`0 0 440 ${place.height}`}
      role="img"
      aria-label={place.says}
      className="no-print"
      sx={{
        width: '100%',
        maxWidth: 460,
        height: 'auto',
        color: 'text.primary',
        fill: 'none',
        stroke: 'currentColor',
        strokeWidth: 1.4,
        '& text': { font: `600 11px ${fonts.label}`, fill: 'currentColor', stroke: 'none' },
        '& text[data-part]': { fontWeight: 400, opacity: 0.85 },
        '& [data-measured]': { color: `bench.lines.${place.line}`, strokeWidth: 1.8 },
      }}
    >
      {place.draw}
    </Box>
  );
}
