declare module 'subset-font' {
  /** @returns the font with these letters alone, its axes cut to the given ranges */
  export default function subsetFont(
    font: Buffer,
    letters: string,
    options: {
      targetFormat: 'woff2';
      variationAxes?: Record<string, number | { min: number; max: number }>;
    }
  ): Promise<Buffer>;
}
