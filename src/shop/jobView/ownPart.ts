/** Sizes in a text: numbers of two digits or more; "608-2RS" and "608, 8 × 22 × 7 mm" both speak of 608. */
const sizesIn = (text: string) => text.match(/\d{2,}/g) ?? [];

/**
 * Whether a part of the shop's list is one that the model's own list names: all sizes of one line stand in its label, and
 * a word of it does too when the line has words ("flat, 10 mm × 300 mm" is no toothed belt).
 */
export function isOwnPart(label: string, lines: readonly string[]): boolean {
  const sizes = new Set(sizesIn(label));
  const words = label.toLowerCase();
  return lines.some((line) => {
    const asked = sizesIn(line);
    const named = line.toLowerCase().match(/[a-z]{4,}/g) ?? [];
    return (
      asked.length > 0 &&
      asked.every((n) => sizes.has(n)) &&
      (named.length === 0 || named.some((w) => words.includes(w)))
    );
  });
}
