/** A point of the globe, in degrees of WGS 84, north and east positive. */
export interface Point {
  readonly lat: number;
  readonly lon: number;
}

/** Mean radius of the Earth in kilometres (IUGG: (2a + b) / 3 of GRS 80). */
export const EARTH_KM = 6371.0088;

/** Kilometres of a mile (international mile, 1959). */
export const KM_PER_MILE = 1.609344;

/** The great-circle distance between two points in kilometres, by the haversine formula; within 0.6 % of the ellipsoid's. */
export function distanceKm(a: Point, b: Point): number {
  const radians = Math.PI / 180;
  const [lat1, lat2] = [a.lat * radians, b.lat * radians];
  const [dLat, dLon] = [lat2 - lat1, (b.lon - a.lon) * radians];
  const h = Math.sin(dLat / 2) ** 2 + Math.cos(lat1) * Math.cos(lat2) * Math.sin(dLon / 2) ** 2;
  return 2 * EARTH_KM * Math.asin(Math.min(1, Math.sqrt(h)));
}

/** A geo: URI as a point (RFC 5870); undefined for anything else, and for places that don't exist. */
export function parseGeoUri(uri: string): Point | undefined {
  const match = /^geo:(-?\d+(?:\.\d+)?),(-?\d+(?:\.\d+)?)(?:[,;].*)?$/i.exec(uri.trim());
  if (!match) return undefined;
  const [lat, lon] = [Number(match[1]), Number(match[2])];
  return Math.abs(lat) <= 90 && Math.abs(lon) <= 180 ? { lat, lon } : undefined;
}
