/** How what is in use is drawn, by its share of all there is: in use, all of it, or more than there is. */
export const heightClass = (share: number): 'used' | 'full' | 'over' =>
  share > 1.001 ? 'over' : share >= 0.999 ? 'full' : 'used';
