'use client';

import { useId } from 'react';
import { LIES, type Lie } from '@/core/strip/procedure';
import type { LineId } from '@/core/diagnosis/knowledge';
import { benchInks as bench, fonts } from '../theme/palette';
import { drawings } from './machines';
import { FLOOR, SIDE, type Drawing, type Point, type Shape } from './shapes';

/** Degrees by which the side view is turned; lying on its side is seen from where it is seen standing. */
const TURNED: Record<Lie, number> = { standing: 0, back: 90, side: 0, 'upside-down': 180 };
/** What hangs down when the machine is turned is left out. */
const HANGS = 'cord';

interface Props {
  kind: string;
  lie?: Lie | null;
  /** Accesses that are off: what they take away stands beside the machine. */
  open?: readonly string[];
  /** The access that is worked at: its fasteners are shown. */
  at?: string | null;
  /** The cup of those fasteners. */
  cup?: number | null;
  /** How many there are; as many dots as are seen from this side at most. */
  count?: number;
  /** Stations that are marked. */
  marked?: readonly string[];
  /** Station → what stands at its point: an odd, a mark of condition. */
  points?: Record<string, string>;
  /** A point was pressed; the line board does the same by key. */
  onChoose?: (station: string) => void;
  /** At most so many pixels tall. */
  tall?: number;
  title: string;
}

/** The machine from its side, as it lies, with what is off beside it. */
export function MachineDrawing({
  kind,
  lie = 'standing',
  open = [],
  at = null,
  cup = null,
  count = 0,
  marked = [],
  points,
  onChoose,
  tall = 290,
  title,
}: Props) {
  const pattern = useId();
  const drawing = drawings[kind];
  if (!drawing) return null;
  const off = new Set(open);
  const turn = drawing.still ? 0 : TURNED[lie ?? 'standing'];
  const dots = at && count > 0 ? (drawing.screws[at] ?? []).slice(0, count) : [];
  const ink = bench.ink;
  const frame = frameOf(drawing, turn);
  const [left, top, width, height] = frame.viewBox.split(' ').map(Number) as [number, number, number, number];
  const caption =
    lie === null || lie === 'standing'
      ? ''
      : drawing.still
        ? `${drawing.still} lies ${LIES[lie]}`
        : lie === 'side'
          ? 'it lies on its side'
          : '';
  return (
    <svg
      viewBox={frame.viewBox}
      {...(title ? { role: 'img', 'aria-label': title } : { 'aria-hidden': true })}
      style={{ width: '100%', maxHeight: tall, display: 'block', overflow: 'visible' }}
    >
      <defs>
        <pattern id={`${pattern}cut`} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={6} height={6} fill={bench.sheet} />
          <line x1={0} y1={0} x2={0} y2={6} stroke={ink} strokeWidth={1.1} opacity={0.6} />
        </pattern>
        <pattern id={`${pattern}foam`} width={7} height={7} patternUnits="userSpaceOnUse">
          <rect width={7} height={7} fill={bench.sheet} />
          <circle cx={2} cy={2} r={1} fill={ink} opacity={0.7} />
          <circle cx={5.5} cy={5.5} r={1} fill={ink} opacity={0.7} />
        </pattern>
      </defs>
      <line
        x1={left}
        y1={FLOOR + 1}
        x2={left + width}
        y2={FLOOR + 1}
        stroke={ink}
        strokeWidth={1.4}
        strokeDasharray="2 5"
      />
      <g transform={frame.transform} strokeLinejoin="round" strokeLinecap="round">
        {drawing.shapes.map((shape, i) =>
          turn !== 0 && shape.station === HANGS ? null : (
            <Stroke
              // The shapes of a drawing never change their order.
              key={i}
              shape={shape}
              away={shape.layer && off.has(shape.layer) ? (drawing.lifts[shape.layer] ?? [0, 0]) : null}
              isMarked={shape.station !== undefined && marked.includes(shape.station)}
              pattern={pattern}
            />
          ),
        )}
        {points &&
          Object.entries(drawing.at).map(([id, [x, y]]) => (
            <g
              key={id}
              transform={`translate(${x} ${y}) rotate(${-turn})`}
              onClick={onChoose && (() => onChoose(id))}
              style={onChoose ? { cursor: 'pointer' } : undefined}
              data-station={id}
            >
              <title>{id.replaceAll('-', ' ')}</title>
              {onChoose && <circle r={20} fill="transparent" />}
              <circle
                r={points[id] === undefined ? 4 : 13}
                fill={points[id] === undefined ? bench.sheet : bench.brassFill}
                stroke={ink}
                strokeWidth={1.5}
              />
              {points[id] !== undefined && (
                <text
                  textAnchor="middle"
                  y={4.5}
                  fontSize={13}
                  fontWeight={700}
                  fontFamily={fonts.label}
                  fill="#1e1b17"
                >
                  {points[id]}
                </text>
              )}
            </g>
          ))}
        {dots.map(([x, y]) => (
          <g key={`${x} ${y}`} transform={`translate(${x} ${y})`}>
            <circle r={8} fill={bench.brassFill} stroke={ink} strokeWidth={1.4} />
            {cup !== null && (
              <text
                transform={`rotate(${-turn})`}
                textAnchor="middle"
                y={4.5}
                fontSize={13}
                fontWeight={700}
                fontFamily={fonts.label}
                fill="#1e1b17"
              >
                {cup}
              </text>
            )}
          </g>
        ))}
      </g>
      {caption && (
        <text
          x={left + width / 2}
          y={top + height - 6}
          textAnchor="middle"
          fontSize={17}
          fontFamily={fonts.label}
          fill={ink}
        >
          {caption}
        </text>
      )}
    </svg>
  );
}

interface Frame {
  /** How the machine is moved into it; nothing when it stands as it was drawn. */
  transform: string | undefined;
  viewBox: string;
}

/** Room for what is moved away from the machine. */
const MARGIN = 26;

/** The machine turned about the middle of its square and let down onto the floor, and what part of the square it fills. */
function frameOf(drawing: Drawing, turn: number): Frame {
  const half = SIDE / 2;
  const a = (turn * Math.PI) / 180;
  const points = drawing.shapes
    .filter((s) => s.station !== HANGS)
    .flatMap((s) => pointsOf(s.d))
    .map(([x, y]): Point => [
      half + (x - half) * Math.cos(a) - (y - half) * Math.sin(a),
      half + (x - half) * Math.sin(a) + (y - half) * Math.cos(a),
    ]);
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const down = turn === 0 ? 0 : Math.round(FLOOR - Math.max(...ys));
  const [left, top] = [Math.min(...xs) - MARGIN, Math.min(...ys) + down - MARGIN];
  const size = [Math.max(...xs) + MARGIN - left, FLOOR + MARGIN - top].map(Math.round);
  return {
    transform: turn === 0 ? undefined : `translate(0 ${down}) rotate(${turn} ${half} ${half})`,
    viewBox: `${Math.round(left)} ${Math.round(top)} ${size.join(' ')}`,
  };
}

/** The absolute points that a path names with M, L, H, V, Q and C; enough to know how far it reaches. */
function pointsOf(d: string): Point[] {
  const points: Point[] = [];
  let [x, y] = [0, 0];
  for (const [, command, rest] of d.matchAll(/([MLHVQC])([^A-Za-z]*)/g)) {
    const n = (rest!.match(/-?[\d.]+/g) ?? []).map(Number);
    if (command === 'H') for (const h of n) points.push([(x = h), y]);
    else if (command === 'V') for (const v of n) points.push([x, (y = v)]);
    else for (let i = 0; i + 1 < n.length; i += 2) points.push([(x = n[i]!), (y = n[i + 1]!)]);
  }
  return points;
}

const DASHES: Partial<Record<LineId, string>> = { air: '0.1 7', water: '6 4', traction: '9 3' };

function Stroke({
  shape,
  away,
  isMarked,
  pattern,
}: {
  shape: Shape;
  away: Point | null;
  isMarked: boolean;
  pattern: string;
}) {
  const { ink, paper } = {
    ink: isMarked ? bench.action : bench.ink,
    paper: bench.sheet,
  };
  const moved = away ? { transform: `translate(${away[0]} ${away[1]})`, opacity: 0.5 } : {};
  const dash = away ? { strokeDasharray: '5 3' } : {};
  const fill = away ? 'none' : paper;
  switch (shape.as) {
    case 'shell':
      return <path d={shape.d} fill={fill} stroke={ink} strokeWidth={isMarked ? 3.4 : 2.4} {...dash} {...moved} />;
    case 'part':
      return (
        <path
          d={shape.d}
          fill={isMarked ? bench.brassFill : fill}
          stroke={ink}
          strokeWidth={1.7}
          {...dash}
          {...moved}
        />
      );
    case 'edge':
      return <path d={shape.d} fill="none" stroke={ink} strokeWidth={1.4} {...moved} />;
    case 'hidden':
      return <path d={shape.d} fill="none" stroke={ink} strokeWidth={1.3} strokeDasharray="5 4" {...moved} />;
    case 'cut':
    case 'foam':
      return <path d={shape.d} fill={`url(#${pattern}${shape.as})`} stroke={ink} strokeWidth={1.5} {...moved} />;
    case 'solid':
      return <path d={shape.d} fill={ink} {...moved} />;
    case 'tube': {
      const wide = shape.wide ?? 12;
      return (
        <g fill="none" {...moved}>
          <path d={shape.d} stroke={ink} strokeWidth={wide} />
          <path d={shape.d} stroke={paper} strokeWidth={wide - 4} />
        </g>
      );
    }
    default:
      return (
        <path
          d={shape.d}
          fill="none"
          stroke={bench.lines[shape.as]}
          strokeWidth={shape.as === 'power' ? 2.2 : 3}
          strokeDasharray={DASHES[shape.as]}
          {...moved}
        />
      );
  }
}
