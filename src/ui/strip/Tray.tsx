'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Fastener } from '@/core/strip/procedure';
import { fastenerWords, type Cup } from '@/core/strip/tray';
import { Empty } from '../parts/Notice';
import { benchInks as bench, fonts } from '../theme/palette';

const CELL = { width: 104, height: 96 };
const RADIUS = 37;
const COLUMNS = 4;
const LENGTH_PX = { short: 7, medium: 12, long: 20 };

interface Props {
  cups: readonly Cup[];
  /** The cup that is filled or emptied now. */
  lit?: number | null;
  /** Drawn on paper: every cup is empty, for the real screws. */
  paper?: boolean;
}

/** The tray: cups in their order, what lies in them, and which two must not be mixed up. */
export function Tray({ cups, lit = null, paper = false }: Props) {
  // Variables, not figures: the lamp may be switched while this is shown.
  if (cups.length === 0) return <Empty>Nothing loose yet.</Empty>;
  const rows = Math.ceil(cups.length / COLUMNS);
  const at = (number: number) => ({
    x: ((number - 1) % COLUMNS) * CELL.width + CELL.width / 2,
    y: Math.floor((number - 1) / COLUMNS) * CELL.height + CELL.height / 2,
  });
  // Those that stand side by side are joined; what is further away is named at the cup: lines across others mislead.
  const pairs = cups.flatMap((c) =>
    c.mixedUpWith.filter((n) => n === c.number + 1 && c.number % COLUMNS !== 0).map((n) => [c.number, n] as const),
  );
  const width = Math.min(cups.length, COLUMNS) * CELL.width;
  const ink = 'currentColor';
  return (
    <Box>
      <svg
        viewBox={`0 0 ${width} ${rows * CELL.height}`}
        style={{ width: '100%', maxWidth: width * 1.1, display: 'block' }}
        role="img"
        aria-label={`Tray: ${cups.map((c) => `cup ${c.number} ${c.full ? 'full' : 'empty'}`).join(', ')}`}
      >
        {pairs.map(([a, b]) => (
          <path
            key={`${a}-${b}`}
            d={`M${at(a).x} ${at(a).y - RADIUS} Q${(at(a).x + at(b).x) / 2} ${at(a).y - RADIUS - 14} ${at(b).x} ${at(b).y - RADIUS}`}
            stroke={bench.hazard}
            strokeWidth={2.4}
            fill="none"
          />
        ))}
        {cups.map((cup) => {
          const { x, y } = at(cup.number);
          const isLit = cup.number === lit;
          return (
            <g key={cup.number} transform={`translate(${x} ${y})`} data-cup={cup.number}>
              <title>{`Cup ${cup.number}: ${cup.full ? cup.fasteners.map(fastenerWords).join('; ') : 'empty'}`}</title>
              <circle
                r={RADIUS}
                fill={isLit ? bench.brassFill : bench.sheet}
                stroke={cup.mixedUpWith.length > 0 ? bench.hazard : ink}
                strokeWidth={isLit ? 3.4 : 1.8}
                strokeDasharray={cup.full || paper ? undefined : '3 4'}
              />
              <circle r={RADIUS - 5} fill="none" stroke={ink} strokeWidth={0.7} opacity={0.5} />
              <text
                x={-RADIUS - 2}
                y={-RADIUS + 12}
                fontFamily={fonts.label}
                fontWeight={600}
                fontSize={19}
                fill={isLit ? bench.action : ink}
              >
                {cup.number}
              </text>
              {cup.mixedUpWith.length > 0 && (
                <text
                  textAnchor="end"
                  x={RADIUS + 6}
                  y={RADIUS + 10}
                  fontFamily={fonts.label}
                  fontWeight={600}
                  fontSize={14}
                  fill={bench.hazard}
                >
                  ≠ {cup.mixedUpWith.slice(0, 4).join(' ')}
                </text>
              )}
              {!paper && cup.full && <Pieces fasteners={cup.fasteners} ink={isLit ? '#1e1b17' : ink} />}
              {!paper && !cup.full && (
                <text textAnchor="middle" y={5} fontSize={12} fontFamily={fonts.label} fill={ink} opacity={0.7}>
                  empty
                </text>
              )}
            </g>
          );
        })}
      </svg>
      {!paper && (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {cups
            .filter((c) => c.full)
            .map((c) => (
              <Typography component="li" variant="body2" key={c.number} sx={{ lineHeight: 1.35, py: 0.2 }}>
                <strong>{c.number}</strong> {c.fasteners.map(fastenerWords).join('; ')}
                {c.mixedUpWith.length > 0 && (
                  <Box component="span" sx={{ color: 'bench.hazard' }}>
                    {' '}
                    Not the same as in cup {c.mixedUpWith.join(', ')}.
                  </Box>
                )}
              </Typography>
            ))}
        </Box>
      )}
    </Box>
  );
}

/** Up to three sorts, each as one drawn piece with how many of it there are. */
function Pieces({ fasteners, ink }: { fasteners: readonly Fastener[]; ink: string }) {
  const shown = fasteners.slice(0, 3);
  const step = 22;
  return (
    <>
      {shown.map((f, i) => (
        <g key={`${f.what}${f.where}`} transform={`translate(0 ${(i - (shown.length - 1) / 2) * step})`}>
          <text textAnchor="end" x={-4} y={5} fontSize={14} fontFamily={fonts.label} fontWeight={600} fill={ink}>
            {f.count}×
          </text>
          <g transform="translate(3 0)" stroke={ink} fill="none" strokeWidth={1.5}>
            <Piece fastener={f} />
          </g>
        </g>
      ))}
    </>
  );
}

/** One piece from the side, to the scale of its length class. */
function Piece({ fastener: { what, length, shape, leftHand } }: { fastener: Fastener }) {
  if (what === 'screw' || what === 'bolt') {
    const shank = LENGTH_PX[length ?? 'medium'];
    const head = shape === 'countersunk' ? 'M0 -6 V6 L4 2 V-2 Z' : 'M0 -5.5 H4 V5.5 H0 Z';
    const threads = Array.from({ length: Math.floor(shank / 3) }, (_, i) =>
      leftHand ? `M${5 + i * 3} 3 l2 -6` : `M${5 + i * 3} -3 l2 6`,
    ).join(' ');
    return (
      <>
        <path d={head} />
        <path d={`M4 -2.4 H${4 + shank} ${shape === 'pointed' ? `l4 2.4 l-4 2.4` : 'v4.8'} H4`} />
        <path d={threads} strokeWidth={1} />
      </>
    );
  }
  if (what === 'washer' || what === 'nut' || what === 'felt') {
    return (
      <>
        {what === 'nut' ? <path d="M3 -6 L9 -6 L12 0 L9 6 L3 6 L0 0 Z" /> : <circle cx={6} r={6} />}
        <circle cx={6} r={2.4} />
        {leftHand && <path d="M14 -5 q4 5 0 10 l-3 -2" strokeWidth={1.2} />}
      </>
    );
  }
  if (what === 'spring') return <path d="M0 0 l2 -5 l3 10 l3 -10 l3 10 l3 -10 l2 5" />;
  if (what === 'clip') return <path d="M0 5 V-1 Q0 -6 6 -6 Q12 -6 12 -1 V5" />;
  if (what === 'pin') return <path d="M0 -2 H16 V2 H0 Z" />;
  return <path d="M0 -6 H9 Q13 -6 13 0 Q13 6 9 6 H0 Z" />;
}
