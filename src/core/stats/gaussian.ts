/** A normal belief about a quantity on the log scale. */
export interface Gaussian {
  mean: number;
  variance: number;
}

/** Belief after an observation of the quantity itself with its own noise (product of two normals). */
export function observe(prior: Gaussian, observation: Gaussian): Gaussian {
  const precision = 1 / prior.variance + 1 / observation.variance;
  return {
    mean: (prior.mean / prior.variance + observation.mean / observation.variance) / precision,
    variance: 1 / precision
  };
}

/** A belief with one observation that went into it taken out again. */
export function without(belief: Gaussian, observation: Gaussian): Gaussian {
  const precision = 1 / belief.variance - 1 / observation.variance;
  return {
    mean: (belief.mean / belief.variance - observation.mean / observation.variance) / precision,
    variance: 1 / precision
  };
}

/** Belief about the sum of two independent quantities. */
export const add = (a: Gaussian, b: Gaussian): Gaussian => ({
  mean: a.mean + b.mean,
  variance: a.variance + b.variance
});
