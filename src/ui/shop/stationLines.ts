import type { ModelView } from '@/shop/models/dto';

type Added = ModelView['addedStations'][number];

/** Added parts as lines of text: `power, after cord: leakage switch`. */
export function stationLines(added: Added[]): string[] {
  return added.map((s) => `${s.line}${s.after ? `, after ${s.after}` : ''}: ${s.label}`);
}

/** The same lines read back. What does not fit comes out as it can, for the server to refuse by name. */
export function readStations(lines: string[]): Added[] {
  return lines.map((text) => {
    const match = /^\s*([a-z]+)\s*(?:,\s*after\s+([a-z0-9-]+)\s*)?:\s*(.+?)\s*$/i.exec(text);
    const [, line = text.trim(), after = '', label = ''] = match ?? [];
    const id = label
      .toLowerCase()
      .normalize('NFKD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-+|-+$/g, '');
    return { line: line.toLowerCase(), after, id, label };
  });
}
