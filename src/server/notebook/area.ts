/** The area of a sowing in cm2, as the core has it, of a sowing `s` in a container `c`. */
export const AREA_CM2 = `(case c.shape when 'round' then pi() * (c.length_cm / 2) ^ 2 else c.length_cm * c.width_cm * c.cells end * s.count * s.area_share)`;
