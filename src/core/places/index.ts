/**
 * Places: towns by name, where an address is, how far apart two points are.
 * Standard: RFC 5870 (geo:), ISO 3166-1, WGS 84.
 * Left out: streets and house numbers; the gazetteer knows towns.
 */
export { distanceKm, EARTH_KM, KM_PER_MILE, parseGeoUri, type Point } from './distance';
export { Gazetteer, type PlaceWish, type Town } from './gazetteer';
export { keyOf } from './keyOf';
export { readGazetteer, writeGazetteer } from './gazetteerFile';
export { type Cluster, clusterGroups, groupSpots, type Placed, type SpotGroup } from './groupSpots';
export { type AddressPlace, addressPlaces, type KnownTowns, locate, type Spot, townKey } from './locate';
