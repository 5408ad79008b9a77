import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Sentence } from '@/core/intake/hearing/teach';

/**
 * Who wrote the sentences: each in a manner of their own. All invented, in our own words; common practice, no source. Those who
 * are held back teach nothing: the hearing is measured with them.
 */
export const teachers = ['counter', 'plain', 'story', 'caretaker', 'family', 'club', 'village', 'market'] as const;
export const heldBack = ['note', 'voice', 'phone', 'caller', 'letter'] as const;

/** The sentences of one writer: `[what it means]`, and under it one sentence per line. Read from files, so on the server only. */
export function sentencesOf(writer: string): Sentence[] {
  const file = path.join(process.cwd(), 'src/knowledge/hearing/corpus', `${writer}.txt`);
  const out: Sentence[] = [];
  let means = '';
  for (const line of readFileSync(file, 'utf8').split('\n')) {
    const heading = /^\[(.+)\]$/.exec(line);
    if (heading) means = heading[1]!;
    else if (line.trim() !== '') out.push({ text: line.trim(), means });
  }
  return out;
}
