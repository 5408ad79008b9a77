/** Advance widths of Barlow Semi Condensed 600 for the characters 32 to 126, in thousandths of the size (measured). */
const WIDTHS = [
  200, 302, 315, 642, 501, 802, 635, 153, 298, 298, 380, 465, 232, 364, 242, 417, 509, 313, 488, 478, 522, 478, 479,
  440, 484, 480, 304, 266, 465, 465, 465, 456, 789, 552, 542, 533, 545, 513, 489, 537, 557, 243, 512, 549, 493, 627,
  588, 544, 526, 521, 537, 513, 516, 557, 540, 771, 538, 528, 480, 366, 417, 366, 439, 457, 213, 478, 498, 477, 498,
  484, 333, 490, 491, 235, 231, 478, 219, 747, 491, 490, 502, 502, 342, 446, 328, 489, 460, 677, 466, 446, 412, 334,
  180, 334, 501,
];
const WIDEST = 802;

/** Width of a text in the board's typeface, px. Unknown characters count as the widest. */
export function textWidth(text: string, sizePx: number): number {
  let sum = 0;
  for (const ch of text) sum += WIDTHS[ch.charCodeAt(0) - 32] ?? WIDEST;
  return (sum / 1000) * sizePx;
}

/**
 * Breaks a label at its spaces into at most `most` lines, as evenly as it goes.
 * @returns the lines; the widest of them decides the width
 */
export function breakLabel(text: string, sizePx: number, most = 2): string[] {
  const words = text.split(' ');
  if (words.length === 1 || most === 1) return [text];
  let best = [text];
  let bestWidth = textWidth(text, sizePx);
  for (let cut = 1; cut < words.length; cut++) {
    const lines = [words.slice(0, cut).join(' '), ...breakLabel(words.slice(cut).join(' '), sizePx, most - 1)];
    const width = Math.max(...lines.map((l) => textWidth(l, sizePx)));
    if (width < bestWidth) {
      best = lines;
      bestWidth = width;
    }
  }
  return best;
}
