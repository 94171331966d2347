/** The area of a sowing in cm2, as the core has it, of a sowing `s` in a container `c`; null where its size was assumed. */
export const AREA_CM2 = `(case when s.assumed ? 'container' then null when c.shape = 'round' then pi() * (c.length_cm / 2) ^ 2 else c.length_cm * c.width_cm * c.cells end * s.count * s.area_share)`;

/** The seed of a sowing `s` in g; null where it was assumed. */
export const SEED_G = `(case when s.assumed ? 'seed' then null else s.seed_g end)`;
