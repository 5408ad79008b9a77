import Box from '@mui/material/Box';
import type { Drawing } from '@/core/gauges/gauge';
import { shownIn, type UnitSystem } from '@/core/units/unitSystem';
import { fonts } from '../theme/palette';

type Props = Extract<Drawing, { draw: 'bearing' }> & { units: UnitSystem };

const SIDE = 150;

/** The bearing from its end and cut through, to one scale. */
export function BearingDrawing({ boreMm, outerMm, widthMm, shielded, units }: Props) {
  const scale = SIDE / outerMm;
  const [R, r, w] = [(outerMm / 2) * scale, (boreMm / 2) * scale, widthMm * scale];
  const ring = (R - r) * 0.3;
  const ball = (R - r) * 0.28;
  const pitch = (R + r) / 2;
  const [cx, cy] = [R + 14, R + 26];
  const x = 2 * R + 60;
  const size = (mm: number) => shownIn('length', mm, units);
  const [width, height] = [x + w + 110, 2 * R + 52];
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={`Bearing to scale: bore ${size(boreMm)}, outer ${size(outerMm)}, width ${size(widthMm)}`}
      sx={{ width: '100%', maxWidth: 400, height: 'auto', color: 'text.primary', bgcolor: 'background.paper' }}
    >
      <g fill="none" stroke="currentColor" strokeWidth="1.5">
        {[R, R - ring, r + ring, r].map((radius) => (
          <circle key={radius} cx={cx} cy={cy} r={radius} />
        ))}
        {Array.from({ length: 8 }, (_, i) => {
          const a = (i * Math.PI) / 4;
          return (
            <circle
              key={i}
              cx={(cx + pitch * Math.cos(a)).toFixed(2)}
              cy={(cy + pitch * Math.sin(a)).toFixed(2)}
              r={ball}
            />
          );
        })}
        {([1, -1] as const).map((half) => (
          <g key={half}>
            <rect
              x={x}
              y={half > 0 ? cy - R : cy + R - ring}
              width={w}
              height={ring}
              fill="currentColor"
              fillOpacity="0.18"
            />
            <rect
              x={x}
              y={half > 0 ? cy - r - ring : cy + r}
              width={w}
              height={ring}
              fill="currentColor"
              fillOpacity="0.18"
            />
            <circle cx={x + w / 2} cy={cy - half * pitch} r={ball} />
            {[x + 2, x + w - 2].map((sx) => (
              <line
                key={sx}
                x1={sx}
                x2={sx}
                y1={cy - half * (R - ring)}
                y2={cy - half * (r + ring + (shielded ? 4 : 0))}
                strokeWidth={shielded ? 1.5 : 3.5}
              />
            ))}
          </g>
        ))}
      </g>
      <g fill="currentColor" fontSize="13" fontFamily={fonts.label}>
        <text x={cx} y={14} textAnchor="middle">
          {size(outerMm)}
        </text>
        <text x={cx} y={cy + 4} textAnchor="middle">
          {r > 20 ? size(boreMm) : ''}
        </text>
        <text x={x + w / 2} y={14} textAnchor="middle">
          {size(widthMm)}
        </text>
        <text x={x + w + 12} y={cy + 4}>
          bore {size(boreMm)}
        </text>
        <text x={x + w + 12} y={cy - pitch + 4}>
          {shielded ? 'shields' : 'contact seals'}
        </text>
      </g>
    </Box>
  );
}
