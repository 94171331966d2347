/** Standard deviations on the log scale of the levels that make up a duration (docs/model.md, 5). */
export const SPREAD = {
  /** The household: thermometer, tap water, habit. */
  household: 0.1,
  /** This household with this crop. */
  crop: 0.1,
  /** Germination of one sowing, which no later stage shares but by coming after it. */
  germination: 0.2,
  /** One stage of one sowing. */
  stage: 0.05,
  /** One look: now and then a lid is taken for lifting that is not, or a leaf missed (starting figure). */
  look: 0.04
} as const;
