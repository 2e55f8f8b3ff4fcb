/** Standard gravity, m/s²: what a kilogram weighs, in N. @source BIPM, 3rd CGPM (1901) */
export const GRAVITY = 9.80665

/** The same as it stands in a formula. */
export const GRAVITY_TEXT = `[${GRAVITY} N/kg]`
