import { distance } from 'fastest-levenshtein';

/** So many letters may be typed wrongly, as a part of the shorter name. */
const WRONG_PART = 0.3;

const plain = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Models of the list whose maker and name are like those of a plate: written apart, or a letter or two wrong. */
export function similarModels<M extends { maker: string; name: string }>(
  models: readonly M[],
  maker: string,
  name: string,
): M[] {
  const [typedMaker, typedName] = [plain(maker), plain(name)];
  if (typedName.length < 2) return [];
  const near = (a: string, b: string) =>
    a.includes(b) || b.includes(a) || distance(a, b) <= Math.max(1, WRONG_PART * Math.min(a.length, b.length));
  return models.filter((m) => {
    const [knownMaker, knownName] = [plain(m.maker), plain(m.name)];
    if (near(knownMaker + knownName, typedMaker + typedName)) return true;
    return near(knownName, typedName) && (typedMaker === '' || near(knownMaker, typedMaker));
  });
}
