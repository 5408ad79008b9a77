import { toSVG } from 'bwip-js/node';

/** Code 128 (ISO/IEC 15417) and QR (ISO/IEC 18004) of a tag, as SVG that scales to any label. */
export function tagCodes(tag: string): { bar: string; square: string } {
  return {
    // Stretched to its place: only the widths of the bars carry the code, and they keep their proportions.
    bar: toSVG({ bcid: 'code128', text: tag, height: 10, includetext: false, barcolor: '000000' }).replace(
      '<svg',
      '<svg preserveAspectRatio="none"',
    ),
    square: squareCode(tag),
  };
}

/** QR (ISO/IEC 18004) of a text, as SVG. */
export function squareCode(text: string): string {
  // The types of the package leave out what only one sort of code knows.
  const square = { bcid: 'qrcode', text, eclevel: 'M', barcolor: '000000' };
  return toSVG(square);
}
