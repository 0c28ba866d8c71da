const DEG = 180 / Math.PI;

/**
 * Angle in degrees by which a hexagon of across-flats s turns freely in a hexagonal or parallel-jawed opening w before its
 * corners bite: θ = 30° − acos((w/s)·√3/2), which solves cos θ + tan 30°·sin θ = w/s.
 * @param opening w, mm
 * @param hexagon s, mm
 * @returns 0…30; 30 when it spins (w/s ≥ 2/√3); NaN when it does not go on (w < s)
 * @example freePlay(10.19, 9.78) // 4.47
 */
export function freePlay(opening: number, hexagon: number): number {
  const ratio = opening / hexagon;
  if (!(ratio >= 1)) return Number.NaN;
  const c = (ratio * Math.sqrt(3)) / 2;
  return c >= 1 ? 30 : 30 - Math.acos(c) * DEG;
}

/**
 * Ratio of opening to hexagon at which the free play is θ degrees: cos θ + tan 30°·sin θ, 1 at 0° and 2/√3 at 30°.
 * @param degrees 0 to 30
 * @returns opening ÷ hexagon, without a unit
 * @example playRatio(4) // 1.0378
 */
export const playRatio = (degrees: number): number =>
  Math.cos(degrees / DEG) + Math.tan(30 / DEG) * Math.sin(degrees / DEG);

/** Opening at which a twelve-point ring spins on a hexagon, as a ratio: cos 15° / cos 30°. It has only 15° in all. */
export const TWELVE_POINT_SPINS = Math.cos(15 / DEG) / Math.cos(30 / DEG);

/**
 * Free play of a hexagon in a twelve-point ring: bites at the same angle, but has 15° in all.
 * @param opening mm across flats
 * @param hexagon mm across flats
 * @returns degrees, 0 to 15
 */
export function freePlayTwelvePoint(opening: number, hexagon: number): number {
  const theta = freePlay(opening, hexagon);
  return theta >= 15 ? 15 : theta;
}
