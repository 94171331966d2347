// eslint-disable-next-line @typescript-eslint/triple-slash-reference -- the package has no types of its own
/// <reference path="./subset-font.d.ts" />
import subsetFont from 'subset-font';
import type { Plugin } from 'vite';

/** The file that almost every page needs; letters beyond it come in a second file, where a page shows one. */
const LATIN = /latin-wght-normal[^/]*\.woff2$/;
const range = (from: number, until: number) =>
  Array.from({ length: until - from + 1 }, (_, index) => String.fromCodePoint(from + index)).join('');
/** What Latin-1 writes, and the signs of our own sentences. */
const LETTERS = `${range(0x20, 0x7e)}${range(0xa0, 0xff)}ŒœıˆˇΩ–—‘’“”•…‹›€™−√≈≤≥↑↓`;
/** The weights that the styles ask for. */
const WEIGHTS = { wght: { min: 400, max: 700 } };

/**
 * Halves the typeface: letters that no page shows and weights that no style asks for stay at home. A page
 * drawn before it arrives keeps the system's typeface: swapping it would rewrap lines and move what a thumb is about to touch.
 */
export function smallFont(): Plugin {
  return {
    name: 'brote:small-font',
    async generateBundle(_options, bundle) {
      for (const file of Object.values(bundle)) {
        if (file.type !== 'asset') continue;
        if (LATIN.test(file.fileName))
          file.source = await subsetFont(Buffer.from(file.source as Uint8Array), LETTERS, {
            targetFormat: 'woff2',
            variationAxes: WEIGHTS
          });
        if (file.fileName.endsWith('.css'))
          file.source = String(file.source).replace(/font-display:\s*swap/g, 'font-display:optional');
      }
    }
  };
}
