import type { LineId } from '@/core/diagnosis/knowledge';

/**
 * How a stroke is drawn: shell 2.4, part 1.7, edge without filling, hidden dashed, cut through hatched, foam dotted; a tube
 * is a path with walls; a line of the board runs through in its own pattern.
 */
export type Style = 'shell' | 'part' | 'edge' | 'hidden' | 'cut' | 'foam' | 'solid' | 'tube' | LineId;

export interface Shape {
  d: string;
  as: Style;
  /** Walls apart, for a tube. */
  wide?: number;
  /** The access that takes it off. */
  layer?: string;
  station?: string;
}

export interface Drawing {
  shapes: Shape[];
  /** Station → the point of it that a mark, an odd or a label stands at. */
  at: Record<string, Point>;
  /** Access → where its fasteners are, as far as they are seen from this side. */
  screws: Record<string, Point[]>;
  /** Access → how far what it takes off is moved away. */
  lifts: Record<string, Point>;
  /** It is never turned as a whole: only this lies otherwise, and is said to. */
  still?: string;
}
export type Point = readonly [x: number, y: number];

/** The square that every machine stands in, and its floor. */
export const SIDE = 480;
export const FLOOR = 440;

const round = (n: number) => Math.round(n * 10) / 10;

/** Some shapes as one layer, or as one station. */
export const layer = (id: string, ...shapes: Shape[]): Shape[] => shapes.map((s) => ({ ...s, layer: id }));
export const station = (id: string, ...shapes: Shape[]): Shape[] => shapes.map((s) => ({ ...s, station: id }));

export const path = (as: Style, d: string): Shape => ({ as, d });
export const tube = (d: string, wide = 12): Shape => ({ as: 'tube', d, wide });

export const circle = (as: Style, x: number, y: number, r: number): Shape => ({
  as,
  d: `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`,
});

export const box = (as: Style, x: number, y: number, w: number, h: number, r = 4): Shape => ({
  as,
  d: `M${x + r} ${y}h${w - 2 * r}q${r} 0 ${r} ${r}v${h - 2 * r}q0 ${r} ${-r} ${r}h${-(w - 2 * r)}q${-r} 0 ${-r} ${-r}v${-(h - 2 * r)}q0 ${-r} ${r} ${-r}Z`,
});

export const wheel = (x: number, y: number, r: number): Shape[] => [
  circle('part', x, y, r),
  circle('edge', x, y, r * 0.3),
];

/** A brush roll from its end: bristles, core, axle. */
export function roll(x: number, y: number, r: number): Shape[] {
  const core = r * 0.66;
  const tufts = Array.from({ length: 10 }, (_, i) => {
    const a = (i / 10) * 2 * Math.PI;
    const [c, s] = [Math.cos(a), Math.sin(a)];
    return `M${round(x + core * c)} ${round(y + core * s)}L${round(x + r * c)} ${round(y + r * s)}`;
  }).join('');
  return station('roll', path('edge', tufts), circle('part', x, y, core), circle('edge', x, y, r * 0.24));
}

/** A belt round two pulleys: both outer tangents and the arcs. */
export function belt(x1: number, y1: number, r1: number, x2: number, y2: number, r2: number): Shape {
  const d = Math.hypot(x2 - x1, y2 - y1);
  const along = Math.atan2(y2 - y1, x2 - x1);
  const lean = Math.acos((r1 - r2) / d);
  const p = (x: number, y: number, r: number, a: number) =>
    `${round(x + r * Math.cos(a))} ${round(y + r * Math.sin(a))}`;
  const [a, b] = [along + lean, along - lean];
  return {
    as: 'drive',
    d: `M${p(x1, y1, r1, a)}L${p(x2, y2, r2, a)}A${r2} ${r2} 0 ${r2 > r1 ? 1 : 0} 0 ${p(x2, y2, r2, b)}L${p(x1, y1, r1, b)}A${r1} ${r1} 0 ${r1 > r2 ? 1 : 0} 0 ${p(x1, y1, r1, a)}Z`,
  };
}

/** A motor with its fan on top: vanes, windings cut through, shaft. */
export function motor(
  x: number,
  y: number,
  w: number,
  h: number,
  fan: 'top' | 'left' | 'right' | 'none' = 'top',
): Shape[] {
  const body = [box('part', x, y, w, h, 6), box('cut', x + w * 0.2, y + h * 0.18, w * 0.6, h * 0.6, 2)];
  const vanes = (n: number, at: (i: number) => string) =>
    path('edge', Array.from({ length: n }, (_, i) => at(i)).join(''));
  if (fan === 'none') return body;
  if (fan === 'top')
    return [
      ...body,
      ...station(
        'fan',
        box('part', x - 4, y - 22, w + 8, 22, 4),
        vanes(6, (i) => `M${round(x + 4 + (i * (w - 8)) / 5)} ${y - 18}v14`),
      ),
    ];
  const left = fan === 'left' ? x - 22 : x + w;
  return [
    ...body,
    ...station(
      'fan',
      box('part', left, y - 4, 22, h + 8, 4),
      vanes(6, (i) => `M${left + 4} ${round(y + 4 + (i * (h - 8)) / 5)}h14`),
    ),
  ];
}

export const foam = (id: string, x: number, y: number, w: number, h: number): Shape[] =>
  station(id, box('foam', x, y, w, h, 3));

/** A pleated filter on edge. */
export function pleats(id: string, x: number, y: number, h: number): Shape[] {
  const n = Math.max(3, Math.round(h / 12));
  const zig = Array.from({ length: n }, () => `l7 ${round(h / n / 2)}l-7 ${round(h / n / 2)}`).join('');
  return station(id, path('edge', `M${x} ${y}${zig}`), path('edge', `M${x} ${y}v${h}`));
}

/** A grip on two bars, from the body up to the hand. */
export const bar = (d: string): Shape => ({ as: 'tube', d, wide: 9 });

/** A cord that comes out and hangs to the floor. */
export const cord = (d: string): Shape[] => station('cord', path('power', d));
