/** Minutes of rinsing under running water, by hand in a sieve (starting figure). */
export const RINSE_MIN = 2;
