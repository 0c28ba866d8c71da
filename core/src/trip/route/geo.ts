/** Mean radius of the earth, km. */
const EARTH = 6371.0088;
const RAD = Math.PI / 180;

/** A place on the earth, degrees. */
export interface Spot {
  lat: number;
  lon: number;
}

/** Great-circle distance, km (haversine). Holds over the date line and at the poles. */
export function apart(a: Spot, b: Spot): number {
  const dLat = (b.lat - a.lat) * RAD;
  const dLon = (b.lon - a.lon) * RAD;
  const h = Math.sin(dLat / 2) ** 2 + Math.cos(a.lat * RAD) * Math.cos(b.lat * RAD) * Math.sin(dLon / 2) ** 2;
  return 2 * EARTH * Math.asin(Math.min(1, Math.sqrt(h)));
}
