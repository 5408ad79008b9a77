'use client';

import { useEffect, useMemo, useRef, useState, type KeyboardEvent } from 'react';
import type { Kind, LineId } from '@/core/diagnosis/knowledge';
import type { LineSplit } from '@/core/diagnosis/lineSplit';
import { percent } from '../parts/Reading';
import { benchInks as bench, fonts } from '../theme/palette';
import { LABEL_PX, layoutBoard, STATION, type PlacedLine, type PlacedStation } from './layoutBoard';
import { ageWords, stationSentence, type StationState } from './stationState';
import styles from './board.module.css';

interface Props {
  kind: Kind;
  dropped?: string[];
  states: Record<string, StationState>;
  /** Where the proposed check splits the lines. */
  splits?: LineSplit[];
  /** A station was chosen; without it the board is a picture. */
  onChoose?: (station: string) => void;
  /** What the board shows, for those who hear it. */
  title: string;
}

/** The picture of the machine: its lines, and on them every part in the order in which current, torque or air passes it. */
export function LineBoard({ kind, dropped = [], states, splits = [], onChoose, title }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(1200);
  useEffect(() => {
    const element = box.current!;
    const observer = new ResizeObserver(() => {
      // Folded away it has no width, and is not laid out for nobody.
      if (element.clientWidth > 0) setWidth(Math.max(280, Math.floor(element.clientWidth)));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  const layout = useMemo(() => {
    const lines = kind.lines.map((l) => ({ ...l, stations: l.stations.filter((s) => !dropped.includes(s.id)) }));
    return layoutBoard(lines, width);
  }, [kind, dropped, width]);

  const stations = layout.lines.flatMap((l) => l.stations);
  const [current, setCurrent] = useState(0);
  const items = useRef<(SVGGElement | null)[]>([]);
  const move = (event: KeyboardEvent, at: number) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const line = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (event.key === 'Enter' || event.key === ' ') onChoose?.(stations[at]!.id);
    else if (step) focus((at + step + stations.length) % stations.length);
    else if (line) focus(nearestOnNextLine(layout.lines, stations, at, line));
    else return;
    event.preventDefault();
  };
  const focus = (at: number) => {
    setCurrent(at);
    items.current[at]?.focus();
  };

  return (
    <div ref={box} className={styles.board}>
      <svg
        width="100%"
        height={layout.height}
        viewBox={`0 0 ${layout.width} ${layout.height}`}
        role="group"
        aria-label={title}
        style={{ display: 'block', overflow: 'visible' }}
      >
        {layout.lines.map((line) => (
          <Track key={line.line} line={line} />
        ))}
        {splits.map((split) => (
          <Cut key={split.line} split={split} stations={stations} />
        ))}
        {stations.map((station, i) => (
          <StationMark
            key={station.id}
            station={station}
            state={states[station.id] ?? {}}
            tabIndex={i === current ? 0 : -1}
            onKeyDown={(e) => move(e, i)}
            onFocus={() => setCurrent(i)}
            {...(onChoose ? { onChoose: () => onChoose(station.id) } : {})}
            register={(element) => {
              items.current[i] = element;
            }}
          />
        ))}
      </svg>
    </div>
  );
}

function nearestOnNextLine(lines: PlacedLine[], stations: PlacedStation[], at: number, step: number): number {
  const here = stations[at]!;
  const order = lines.map((l) => l.line);
  const line = order[(order.indexOf(here.line) + step + order.length) % order.length];
  const others = stations.filter((s) => s.line === line);
  const nearest = others.reduce((a, b) => (Math.abs(b.x - here.x) < Math.abs(a.x - here.x) ? b : a));
  return stations.indexOf(nearest);
}

/** A cut across a line where the proposed check splits it; its flags point to the side that the check speaks of. */
function Cut({ split, stations }: { split: LineSplit; stations: PlacedStation[] }) {
  const [a, b] = [split.before, split.after].map((id) => stations.find((s) => s.id === id && s.line === split.line));
  if (!a || !b) return null;
  // Where the line turns back on itself the cut stands behind the last station of the furrow.
  const sameRow = Math.abs(a.y - b.y) < 1;
  const flows = sameRow ? Math.sign(b.x - a.x) : 1;
  const x = sameRow ? (a.x + b.x) / 2 : a.x + STATION;
  const [top, bottom] = [a.y - STATION / 2 - 9, a.y + STATION / 2 + 9];
  const to = (split.tells === 'after' ? 1 : -1) * flows * 8;
  return (
    <g
      role="img"
      aria-label={`The check splits the ${split.line} line here: ${percent(split.beforeOdds)} before, ${percent(split.afterOdds)} behind; it tells of what lies ${split.tells === 'after' ? 'behind' : 'before'}`}
      stroke={bench.action}
      fill={bench.action}
    >
      <line x1={x} y1={top} x2={x} y2={bottom} strokeWidth={2.4} strokeDasharray="6 3" />
      {[top, bottom].map((y, i) => (
        <path key={y} d={`M${x} ${y}l${to} ${i ? -4 : 4}l${-to} ${i ? -4 : 4}z`} strokeWidth={1} />
      ))}
    </g>
  );
}

/** Lines are told apart by how they are drawn: two wires, belt teeth, puffs, a wave, treads, a hairline. */
function Track({ line }: { line: PlacedLine }) {
  const colour = bench.lines[line.line];
  const d = line.track.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x} ${y}`).join(' ');
  const path = (props: Record<string, string | number>) => <path d={d} fill="none" stroke={colour} {...props} />;
  const patterns: Record<LineId, React.ReactNode> = {
    power: (
      <>
        {path({ strokeWidth: 6 })}
        {path({ strokeWidth: 2.6, stroke: bench.paper })}
      </>
    ),
    drive: (
      <>
        {path({ strokeWidth: 2 })}
        {path({ strokeWidth: 8, strokeDasharray: '3 4' })}
      </>
    ),
    air: path({ strokeWidth: 5, strokeDasharray: '0.1 8.5', strokeLinecap: 'round' }),
    water: path({ strokeWidth: 4, strokeDasharray: '9 4 2 4' }),
    traction: path({ strokeWidth: 7, strokeDasharray: '2 2 2 7' }),
    frame: path({ strokeWidth: 1.2 }),
  };
  return (
    <g aria-hidden="true">
      {patterns[line.line]}
      <text x={line.name.x} y={line.name.y} fontFamily={fonts.label} fontWeight={600} fontSize={14.5} fill={colour}>
        {line.label}
      </text>
    </g>
  );
}

function shape(line: LineId, x: number, y: number): string {
  const r = STATION / 2;
  const h = r * 0.9;
  const polygon = (points: [number, number][]) => `M${points.map(([px, py]) => `${x + px} ${y + py}`).join('L')}Z`;
  switch (line) {
    case 'power':
      return polygon([
        [-h, -h],
        [h, -h],
        [h, h],
        [-h, h],
      ]);
    case 'air':
      return polygon([
        [-r, 0],
        [-r / 2, -h],
        [r / 2, -h],
        [r, 0],
        [r / 2, h],
        [-r / 2, h],
      ]);
    case 'water':
      return `M${x} ${y - r}C${x + r * 1.3} ${y + r * 0.2} ${x + r * 0.7} ${y + r} ${x} ${y + r}C${x - r * 0.7} ${y + r} ${x - r * 1.3} ${y + r * 0.2} ${x} ${y - r}Z`;
    case 'traction':
      return polygon([
        [0, -r],
        [r, h],
        [-r, h],
      ]);
    case 'frame':
      return polygon([
        [0, -r * 0.8],
        [r * 0.8, 0],
        [0, r * 0.8],
        [-r * 0.8, 0],
      ]);
    default:
      return `M${x - r} ${y}A${r} ${r} 0 1 0 ${x + r} ${y}A${r} ${r} 0 1 0 ${x - r} ${y}Z`;
  }
}

interface MarkProps {
  station: PlacedStation;
  state: StationState;
  tabIndex: number;
  onKeyDown: (event: KeyboardEvent) => void;
  onFocus: () => void;
  onChoose?: () => void;
  register: (element: SVGGElement | null) => void;
}

function StationMark({ station, state, tabIndex, onKeyDown, onFocus, onChoose, register }: MarkProps) {
  const { x, y, line, cell } = station;
  const colour = state.ruledOut ? bench.soft : bench.lines[line];
  const outline = shape(line, x, y);
  const r = STATION / 2;
  const level = Math.min(1, state.odds ?? 0);
  const clip = `fill-${line}-${station.id}`;
  const suspected = !state.proved && !state.ruledOut && level >= 0.01;
  const labelTop = y + r + 13;
  const note = state.open ? 'open' : state.ageDays !== undefined ? ageWords(state.ageDays) : null;
  return (
    <g
      ref={register}
      role={onChoose ? 'button' : 'img'}
      tabIndex={tabIndex}
      aria-label={stationSentence(station.label.join(' '), state)}
      onKeyDown={onKeyDown}
      onFocus={onFocus}
      onClick={onChoose}
      style={{ cursor: onChoose ? 'pointer' : 'default', outlineOffset: -1 }}
    >
      <rect x={cell.left + 1} y={cell.top} width={cell.width - 2} height={cell.height} fill="transparent" />
      <path
        d={outline}
        fill={bench.sheet}
        stroke={colour}
        strokeWidth={2.2}
        strokeDasharray={station.optional ? '3.2 2' : undefined}
      />
      {suspected && (
        <>
          <clipPath id={clip}>
            <path d={outline} />
          </clipPath>
          <rect
            x={x - r}
            y={y + r - STATION * level}
            width={STATION}
            height={STATION * level}
            fill={bench.brassFill}
            clipPath={`url(#${clip})`}
          />
          <path d={outline} fill="none" stroke={colour} strokeWidth={2.2} />
          {level >= 0.03 && (
            <text
              x={x}
              y={y - r - 5}
              textAnchor="middle"
              fontFamily={fonts.reading}
              fontSize={12}
              fontWeight={level >= 0.2 ? 700 : 400}
              fill={bench.ink}
            >
              {percent(level)}
            </text>
          )}
        </>
      )}
      {state.proved && (
        <>
          <path d={outline} fill={bench.ink} stroke={bench.ink} strokeWidth={2.2} />
          <path
            d={`M${x - 5} ${y - 5}L${x + 5} ${y + 5}M${x + 5} ${y - 5}L${x - 5} ${y + 5}`}
            stroke={bench.brassFill}
            strokeWidth={3}
          />
          <text
            x={x}
            y={y - r - 5}
            textAnchor="middle"
            fontFamily={fonts.label}
            fontSize={12.5}
            fontWeight={700}
            fill={bench.ink}
          >
            proved
          </text>
        </>
      )}
      {state.ruledOut && <path d={`M${x - r} ${y + r}L${x + r} ${y - r}`} stroke={bench.soft} strokeWidth={1.8} />}
      {state.open && (
        <path
          d={`M${x - r - 4} ${y - 3}v${-r}h7M${x + r + 4} ${y}v${r - 1}h-7`}
          fill="none"
          stroke={bench.ink}
          strokeWidth={1.6}
        />
      )}
      {state.looked && <path d={`M${x - 6} ${y + r + 2.5}h12`} stroke={bench.action} strokeWidth={3.4} />}
      {(state.marks ?? 0) > 0 && (
        <>
          <path
            d={`M${x + r - 3} ${y - r - 3}h9l4 5.5-4 5.5h-9z`}
            fill={bench.sheet}
            stroke={bench.brass}
            strokeWidth={1.6}
          />
          <text
            x={x + r + 3}
            y={y - r + 6}
            textAnchor="middle"
            fontFamily={fonts.reading}
            fontSize={9.5}
            fontWeight={700}
            fill={bench.ink}
          >
            {state.marks}
          </text>
        </>
      )}
      {station.label.map((text, i) => (
        <text
          key={text}
          x={x}
          y={labelTop + i * 14}
          textAnchor="middle"
          fontFamily={fonts.label}
          fontSize={LABEL_PX}
          stroke={state.ruledOut ? undefined : bench.paper}
          strokeWidth={4}
          strokeLinejoin="round"
          paintOrder="stroke"
          fontWeight={600}
          fill={state.ruledOut ? bench.soft : bench.ink}
          textDecoration={state.ruledOut ? 'line-through' : undefined}
        >
          {text}
        </text>
      ))}
      {note && (
        <text
          x={x}
          y={labelTop + station.label.length * 14 - 1}
          textAnchor="middle"
          stroke={bench.paper}
          strokeWidth={4}
          paintOrder="stroke"
          fontFamily={fonts.reading}
          fontSize={11.5}
          fontStyle={state.open ? 'italic' : undefined}
          fill={bench.soft}
        >
          {note}
        </text>
      )}
    </g>
  );
}
