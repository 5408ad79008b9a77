/** Teaches the hearing anew from its sentences, and prints how well it hears those that it has never met. */
import { writeFileSync } from 'node:fs';
import { earOf } from '../src/core/intake/hearing/ear';
import { measureHearing, mistype } from '../src/core/intake/hearing/measureHearing';
import { teach } from '../src/core/intake/hearing/teach';
import { heldBack, sentencesOf, teachers } from '../src/knowledge/hearing/corpus';
import { lexicon } from '../src/knowledge/hearing/lexicon';
import { NOTHING } from '../src/knowledge/hearing/said';

const lessons = teachers.flatMap(sentencesOf);
const model = teach(lessons, lexicon);
writeFileSync('src/knowledge/hearing/model.json', JSON.stringify(model) + '\n');
console.log(`${lessons.length} sentences of ${teachers.length} writers taught ${model.signs.length} signs.`);

const ear = earOf(model, lexicon, [NOTHING]);
const percent = (n: number, of: number) => `${((100 * n) / of).toFixed(1)} %`.padStart(8);
const row = (name: string, sentences: ReturnType<typeof sentencesOf>) => {
  const s = measureHearing(ear, sentences);
  console.log(
    name.padEnd(26),
    String(s.sentences).padStart(5),
    percent(s.first, s.sentences),
    percent(s.amongThree, s.sentences),
    percent(s.nothing, s.sentences),
  );
  if (process.argv.includes('--missed'))
    for (const m of s.missed) console.log(`    ${m.means}: ${m.text} → ${m.heard.join(', ') || 'nothing'}`);
};
console.log('held back'.padEnd(26), '    n    first  in three  nothing');
const said = heldBack.map((w) => ({ writer: w, sentences: sentencesOf(w).filter((s) => s.means !== NOTHING) }));
for (const { writer, sentences } of said) row(writer, sentences);
const all = said.flatMap((s) => s.sentences);
row('all', all);
row(
  'all, a word mistyped',
  all.map((s, i) => ({ ...s, text: mistype(s.text, i) })),
);
