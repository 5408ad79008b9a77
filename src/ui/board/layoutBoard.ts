import type { LineId, Station } from '@/core/diagnosis/knowledge';
import { breakLabel, textWidth } from './textWidth';

export const LABEL_PX = 13;
const LABEL_LINE = 14;
/** Above a station: room for its odds. */
const ABOVE = 15;
export const STATION = 20;
const GAP_X = 10;
const NOTE_LINE = 13;
const ROW_GAP = 7;
const NAME_WIDTH = 58;
const SMALLEST_CELL = 52;

export interface PlacedStation {
  id: string;
  line: LineId;
  label: string[];
  optional: boolean;
  /** Centre of the station's shape. */
  x: number;
  y: number;
  /** The cell that belongs to it alone: shape, odds, label and note stay inside. */
  cell: { left: number; top: number; width: number; height: number };
}

export interface PlacedLine {
  line: LineId;
  label: string;
  /** Where the line's name stands (left edge, baseline). */
  name: { x: number; y: number };
  stations: PlacedStation[];
  /** Points that the track passes, in the order of the flow. */
  track: [number, number][];
}

export interface BoardLayout {
  width: number;
  height: number;
  lines: PlacedLine[];
}

interface BoardLine {
  line: LineId;
  label: string;
  stations: Station[];
}

/**
 * Lays a kind's lines out in a given width: every station has a cell of its own, as wide as its label needs, so that
 * labels cannot overlap; a line that is too long turns back on itself like a furrow; a short line stands beside another
 * where there is room. Works for any number of stations from widths of about 280 px.
 *
 * @param widthPx width to fill
 */
export function layoutBoard(lines: BoardLine[], widthPx: number): BoardLayout {
  const narrow = widthPx < 620;
  const name = narrow ? 0 : NAME_WIDTH;
  const rows = packRows(lines, widthPx, name, narrow);
  const placed: PlacedLine[] = [];
  let top = 0;
  for (const row of rows) {
    let left = 0;
    let height = 0;
    for (const piece of row) {
      const result = placeLine(piece, left, top, name, narrow);
      placed.push(result.line);
      left += piece.width;
      height = Math.max(height, result.height);
    }
    top += height + ROW_GAP;
  }
  return { width: widthPx, height: Math.max(0, top - ROW_GAP), lines: placed };
}

interface Piece {
  line: BoardLine;
  cell: number;
  columns: number;
  width: number;
}

function cellWidth(line: BoardLine): number {
  const widths = line.stations.map((s) =>
    Math.max(...breakLabel(s.label, LABEL_PX).map((l) => textWidth(l, LABEL_PX))),
  );
  return Math.ceil(Math.max(SMALLEST_CELL, ...widths.map((w) => w + GAP_X)));
}

/** Lines in rows: the last line joins an earlier, shorter one when both fit side by side. */
function packRows(lines: BoardLine[], width: number, name: number, narrow: boolean): Piece[][] {
  const pieces = lines
    .filter((l) => l.stations.length > 0)
    .map((line): Piece => {
      const cell = Math.min(cellWidth(line), Math.max(1, width - name));
      const fit = Math.max(1, Math.floor((width - name) / cell));
      const folds = Math.ceil(line.stations.length / fit);
      const columns = Math.ceil(line.stations.length / folds);
      return { line, cell, columns, width: name + columns * cell };
    });
  const rows: Piece[][] = [];
  for (const piece of pieces) {
    const oneRow = (p: Piece) => p.columns === p.line.stations.length;
    const host = narrow
      ? undefined
      : rows.find(
          (row) => [...row, piece].every(oneRow) && row.reduce((w, p) => w + p.width, 0) + piece.width <= width,
        );
    if (host) host.push(piece);
    else rows.push([piece]);
  }
  // What room is left over is shared out, so that the board fills its width.
  for (const row of rows) {
    const spare = width - row.reduce((w, p) => w + p.width, 0);
    const columns = row.reduce((n, p) => n + p.columns, 0);
    for (const p of row) {
      p.cell += Math.min(spare / columns, p.cell * 0.6);
      p.width = name + p.columns * p.cell;
    }
  }
  return rows;
}

function placeLine(piece: Piece, left: number, top: number, name: number, narrow: boolean) {
  const { line, cell, columns } = piece;
  const heading = narrow ? LABEL_LINE + 4 : 0;
  const labels = line.stations.map((s) => breakLabel(s.label, LABEL_PX));
  const stations: PlacedStation[] = [];
  let y = top + heading;
  const folds = Math.ceil(line.stations.length / columns);
  for (let fold = 0; fold < folds; fold++) {
    const from = fold * columns;
    const inFold = line.stations.slice(from, from + columns);
    const deepest = Math.max(...labels.slice(from, from + columns).map((l) => l.length));
    const height = ABOVE + STATION + 3 + deepest * LABEL_LINE + NOTE_LINE;
    inFold.forEach((station, i) => {
      const column = fold % 2 === 0 ? i : columns - 1 - i;
      const cellLeft = left + name + column * cell;
      stations.push({
        id: station.id,
        line: line.line,
        label: labels[from + i]!,
        optional: station.optional === true,
        x: cellLeft + cell / 2,
        y: y + ABOVE + STATION / 2,
        cell: { left: cellLeft, top: y, width: cell, height },
      });
    });
    y += height;
  }
  const placed: PlacedLine = {
    line: line.line,
    label: line.label,
    name: { x: left, y: narrow ? top + LABEL_LINE : top + ABOVE + STATION / 2 + 5 },
    stations,
    track: stations.map((s) => [s.x, s.y]),
  };
  return { line: placed, height: y - top };
}
