import pdfmake from 'pdfmake';
import { TYPEFACE_FILES, TYPEFACES } from './typefaces';

let ready = false;

/** Our own typefaces from our own packages; nothing is fetched and no other file is read. */
export function prepareTypefaces(): void {
  if (ready) return;
  pdfmake.setFonts(TYPEFACES);
  pdfmake.setUrlAccessPolicy(() => false);
  pdfmake.setLocalAccessPolicy((path) => path.startsWith(TYPEFACE_FILES));
  ready = true;
}
