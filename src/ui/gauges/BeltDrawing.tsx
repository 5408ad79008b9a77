import Box from '@mui/material/Box';
import type { Drawing } from '@/core/gauges/gauge';
import { shownIn, type UnitSystem } from '@/core/units/unitSystem';
import { fonts } from '../theme/palette';

type Props = Extract<Drawing, { draw: 'belt' }> & { units: UnitSystem };

const WIDTH = 520;
const HEIGHT = 190;
const MARGIN = 26;

/** Pulleys and belt to scale, as seen from the end of the shafts, with the way each of them turns. */
export function BeltDrawing({ circles, run, widthMm, toothed, units }: Props) {
  const [a, b] = circles;
  const spanMm = b.xMm - a.xMm + (a.diameterMm + b.diameterMm) / 2;
  const scale = Math.min((WIDTH - 2 * MARGIN) / spanMm, (HEIGHT - 72) / Math.max(a.diameterMm, b.diameterMm));
  const [r1, r2] = [(a.diameterMm / 2) * scale, (b.diameterMm / 2) * scale];
  const left = (WIDTH - spanMm * scale) / 2;
  const x1 = left + r1;
  const x2 = x1 + (b.xMm - a.xMm) * scale;
  const y = HEIGHT / 2 + 2;
  const crossed = run === 'crossed' || run === 'half-twist';
  // Where the straight runs touch: open runs lean by the difference of the radii, crossed ones by their sum.
  const lean = Math.asin(Math.min(1, (crossed ? r1 + r2 : r2 - r1) / (x2 - x1)));
  const at = (x: number, r: number, up: 1 | -1, sign: 1 | -1) =>
    [x - sign * r * Math.sin(lean), y - up * r * Math.cos(lean)] as const;
  const [ax, ay] = at(x1, r1, 1, 1);
  const [bx, by] = crossed ? [x2 + r2 * Math.sin(lean), y + r2 * Math.cos(lean)] : at(x2, r2, 1, 1);
  const [cx, cy] = at(x1, r1, -1, 1);
  const [dx, dy] = crossed ? [x2 + r2 * Math.sin(lean), y - r2 * Math.cos(lean)] : at(x2, r2, -1, 1);
  const thick = toothed ? 5 : 4;
  const size = (mm: number) => shownIn('length', mm, units);
  const quarter = run === 'quarter-turn';
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`Belt to scale, ${run.replace('-', ' ')}: ${a.label} ${size(a.diameterMm)}, ${b.label} ${size(b.diameterMm)}, ${size(b.xMm - a.xMm)} apart; the ${b.label} turns ${b.sense > 0 ? 'with' : 'against'} the ${a.label}`}
      sx={{ width: '100%', maxWidth: 620, height: 'auto', color: 'text.primary', bgcolor: 'background.paper' }}
    >
      <line
        x1={x1}
        y1={y}
        x2={x2}
        y2={y}
        stroke="currentColor"
        strokeWidth="1"
        strokeDasharray="9 3 2 3"
        opacity="0.45"
      />
      <g fill="none" stroke="currentColor">
        <circle cx={x1} cy={y} r={r1} strokeWidth="1.5" />
        {quarter ? (
          <rect x={x2 - (widthMm * scale) / 2} y={y - r2} width={widthMm * scale} height={2 * r2} strokeWidth="1.5" />
        ) : (
          <circle cx={x2} cy={y} r={r2} strokeWidth="1.5" />
        )}
        <circle cx={x1} cy={y} r="2.5" fill="currentColor" />
        {!quarter && <circle cx={x2} cy={y} r="2.5" fill="currentColor" />}
      </g>
      <Box
        component="g"
        sx={{ color: 'bench.lines.drive' }}
        fill="none"
        stroke="currentColor"
        strokeWidth={thick}
        strokeDasharray={toothed ? '5 3' : undefined}
      >
        {quarter ? (
          <>
            <line x1={x1} y1={y - r1} x2={x2} y2={y - r2} />
            <line x1={x1} y1={y + r1} x2={x2} y2={y + r2} />
          </>
        ) : (
          <>
            <line x1={ax} y1={ay} x2={bx} y2={by} />
            <line x1={cx} y1={cy} x2={dx} y2={dy} />
          </>
        )}
        <path d={`M ${ax} ${ay} A ${r1} ${r1} 0 ${crossed || r1 > r2 ? 1 : 0} 0 ${cx} ${cy}`} />
        {!quarter &&
          (crossed ? (
            <path d={`M ${dx} ${dy} A ${r2} ${r2} 0 1 1 ${bx} ${by}`} />
          ) : (
            <path d={`M ${bx} ${by} A ${r2} ${r2} 0 ${r2 >= r1 ? 1 : 0} 1 ${dx} ${dy}`} />
          ))}
      </Box>
      {run === 'half-twist' && <Twist x={(x1 + x2) / 2} y={y - (r1 + r2) / 3.4} />}
      <Turn x={x1} y={y} r={Math.max(r1 + 9, 14)} sense={1} />
      {!quarter && <Turn x={x2} y={y} r={r2 + 10} sense={b.sense} />}
      <g fill="currentColor" fontSize="13" textAnchor="middle" fontFamily={fonts.label}>
        <text x={Math.max(x1, 40)} y={HEIGHT - 8}>
          {a.label} {size(a.diameterMm)}
        </text>
        <text x={Math.min(x2, WIDTH - 50)} y={HEIGHT - 8}>
          {b.label} {size(b.diameterMm)}
        </text>
        <text
          x={(x1 + x2) / 2}
          y={y + (run === 'half-twist' ? 16 : -5)}
          paintOrder="stroke"
          stroke="var(--mui-palette-background-paper)"
          strokeWidth="5"
        >
          {size(b.xMm - a.xMm)}
        </text>
        <text x={WIDTH / 2} y={15}>
          {quarter
            ? 'the roll stands across: it is seen from its side'
            : `the ${b.label} turns ${b.sense > 0 ? 'as the motor does' : 'the other way'}`}
        </text>
      </g>
    </Box>
  );
}

/** An arrow along an arc: clockwise for +1. */
function Turn({ x, y, r, sense }: { x: number; y: number; r: number; sense: 1 | -1 }) {
  const [from, to] = sense > 0 ? [-2.2, -0.9] : [-0.9, -2.2];
  const p = (angle: number, radius = r) => [x + radius * Math.cos(angle), y + radius * Math.sin(angle)];
  const [sx, sy] = p(from);
  const [ex, ey] = p(to);
  const back = to - sense * 0.32;
  const [hx, hy] = p(back, r - 4);
  const [kx, ky] = p(back, r + 4);
  return (
    <g fill="none" stroke="currentColor" strokeWidth="1.6">
      <path d={`M ${sx} ${sy} A ${r} ${r} 0 0 ${sense > 0 ? 1 : 0} ${ex} ${ey}`} />
      <path d={`M ${hx} ${hy} L ${ex} ${ey} L ${kx} ${ky}`} />
    </g>
  );
}

/** Where a flat belt is turned over once. */
function Twist({ x, y }: { x: number; y: number }) {
  return (
    <g fill="none" stroke="currentColor" strokeWidth="1.4">
      <path d={`M ${x - 16} ${y - 4} C ${x - 4} ${y - 4} ${x + 4} ${y + 6} ${x + 16} ${y + 6}`} />
      <path d={`M ${x - 16} ${y + 6} C ${x - 4} ${y + 6} ${x + 4} ${y - 4} ${x + 16} ${y - 4}`} />
    </g>
  );
}
