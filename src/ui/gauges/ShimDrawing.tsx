import Box from '@mui/material/Box';
import type { Drawing } from '@/core/gauges/gauge';
import { shownIn, type UnitSystem } from '@/core/units/unitSystem';
import { fonts } from '../theme/palette';

type Props = Extract<Drawing, { draw: 'shims' }> & { units: UnitSystem };

/** Drawn so thick that the thinnest can be seen; the stacks are to one scale with each other. */
const SCALE = 34;

/** The shaft between its two end frames, with the washers at each end and what is left as float. */
export function ShimDrawing({ fan, commutator, floatMm, standOffMm, units }: Props) {
  const stack = (list: number[]) => list.reduce((a, b) => a + b, 0) * SCALE;
  const [wf, wc] = [stack(fan), stack(commutator)];
  const float = Math.max(0, floatMm * SCALE);
  const body = 190;
  const x0 = 96;
  const bodyX = x0 + wf;
  const endX = bodyX + body + wc + float;
  const width = endX + 120;
  const size = (mm: number) => shownIn('length', mm, units);
  const discs = (list: number[], from: number) => {
    let x = from;
    return list.map((t, i) => {
      const left = x;
      x += t * SCALE;
      return (
        <rect
          key={i}
          x={left + 0.4}
          y={58}
          width={Math.max(1.4, t * SCALE - 0.8)}
          height={44}
          fill="currentColor"
          fillOpacity={i % 2 ? 0.75 : 0.5}
        />
      );
    });
  };
  const words = (list: number[]) => (list.length ? list.map(size).join(' + ') : 'none');
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${Math.max(width, 460)} 158`}
      role="img"
      aria-label={`Washers at the fan’s end ${words(fan)}; at the commutator’s end ${words(commutator)}; float ${size(floatMm)}; fan stand-off ${size(standOffMm)}`}
      sx={{ width: '100%', maxWidth: 640, height: 'auto', color: 'text.primary', bgcolor: 'background.paper' }}
    >
      <g fill="none" stroke="currentColor" strokeWidth="1.5">
        <rect x={20} y={73} width={endX + 30} height={14} fill="currentColor" fillOpacity="0.12" />
        <rect x={bodyX} y={46} width={body} height={68} />
        {Array.from({ length: 9 }, (_, i) => (
          <line key={i} x1={bodyX + 16 + i * 20} y1={46} x2={bodyX + 6 + i * 20} y2={114} opacity="0.5" />
        ))}
        <rect x={x0 - 14} y={34} width={14} height={92} fill="currentColor" fillOpacity="0.25" />
        <rect x={endX} y={34} width={14} height={92} fill="currentColor" fillOpacity="0.25" />
        <line x1={30} y1={40} x2={30} y2={120} strokeWidth="6" />
      </g>
      <Box component="g" sx={{ color: 'bench.lines.drive' }}>
        {discs(fan, x0)}
        {discs(commutator, bodyX + body)}
      </Box>
      <g fill="currentColor" fontSize="13" fontFamily={fonts.label} textAnchor="middle">
        <text x={x0 + wf / 2} y={24}>
          {words(fan)}
        </text>
        <text x={bodyX + body + wc / 2} y={24}>
          {words(commutator)}
        </text>
        <text x={endX - float / 2} y={146}>
          float {size(floatMm)}
        </text>
        <text x={56} y={146}>
          fan, off {size(standOffMm)}
        </text>
      </g>
    </Box>
  );
}
