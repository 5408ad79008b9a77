import { knowledge } from '@/knowledge';
import { procedures } from '@/knowledge/kinds';
import { drawings } from './machines';
import { SIDE } from './shapes';

const kinds = knowledge.kinds.map((k) => [k.id, k] as const);

test.each(kinds)('%s is drawn with its own stations and accesses, inside its square', (id, kind) => {
  const drawing = drawings[id]!;
  const stations = new Set(kind.lines.flatMap((l) => l.stations.map((s) => s.id)));
  const accesses = new Set(kind.access.map((a) => a.id));
  expect(Object.keys(drawing.at).filter((s) => !stations.has(s))).toEqual([]);
  expect([...Object.keys(drawing.screws), ...Object.keys(drawing.lifts)].filter((a) => !accesses.has(a))).toEqual([]);
  for (const shape of drawing.shapes) {
    if (shape.station) expect(stations).toContain(shape.station);
    // What turns is drawn as a part that the machine has: no belt where there is none.
    if (shape.as === 'drive') expect([shape.station, shape.d]).toEqual([expect.any(String), shape.d]);
    if (shape.layer) expect(accesses).toContain(shape.layer);
    expect(shape.d).not.toMatch(/NaN|Infinity|undefined/);
    expect(shape.d).toMatch(/^M/);
  }
  for (const [x, y] of [...Object.values(drawing.at), ...Object.values(drawing.screws).flat()]) {
    expect(x).toBeGreaterThan(0);
    expect(x).toBeLessThan(SIDE);
    expect(y).toBeGreaterThan(0);
    expect(y).toBeLessThan(SIDE);
  }
});

test.each(kinds)('%s: what a step lifts off is a layer of the drawing, and its screws have a place', (id, kind) => {
  const drawing = drawings[id]!;
  const layers = new Set(drawing.shapes.flatMap((s) => (s.layer ? [s.layer] : [])));
  for (const access of kind.access) {
    const own = procedures[id]!.steps.filter((s) => s.access === access.id);
    const driven = own.some((s) => s.fasteners.some((f) => f.what === 'screw' && f.drive !== ''));
    if (driven) expect([access.id, drawing.screws[access.id]?.length ?? 0]).not.toEqual([access.id, 0]);
    // A hose is seen to be off by its end; handles and deck motors are small: their layer may be the machine itself.
    if (layers.has(access.id)) expect(Object.keys(drawing.lifts)).toContain(access.id);
  }
  expect(layers.size).toBeGreaterThanOrEqual(2);
});

test('a drawing is under twenty kibibytes, so that a page can carry it', () => {
  for (const [id] of kinds) expect(JSON.stringify(drawings[id]).length).toBeLessThan(20 * 1024);
});
