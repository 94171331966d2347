/** How fast water goes in a household, against the figures. */
export const thirstWords = (percent: number): string =>
  `Water goes ${Math.abs(percent)} % ${percent > 0 ? 'faster' : 'slower'} here than the figures say.`;
