import fc from 'fast-check';

import { newCard } from '@/core/card';

import { distanceKm, parseGeoUri } from './distance';
import { Gazetteer } from './gazetteer';
import { readGazetteer, writeGazetteer } from './gazetteerFile';
import { clusterGroups, groupSpots } from './groupSpots';
import { addressPlaces, locate, townKey } from './locate';

// Great-circle distances between airports as airline tables give them, and their coordinates; from memory: JFK to LHR 5540 km, LHR to SIN 10 880 km, HND to SFO 8 280 km, SYD to SCL 11 340 km; 1 % allowed
// for the ellipsoid.
const airports = {
  JFK: { lat: 40.63975, lon: -73.77893 },
  LHR: { lat: 51.47139, lon: -0.4525 },
  SIN: { lat: 1.35019, lon: 103.99443 },
  HND: { lat: 35.55226, lon: 139.7797 },
  SFO: { lat: 37.619, lon: -122.37484 },
  SYD: { lat: -33.94611, lon: 151.17722 },
  SCL: { lat: -33.39297, lon: -70.78581 },
};
const flights: [keyof typeof airports, keyof typeof airports, number][] = [
  ['JFK', 'LHR', 5540],
  ['LHR', 'SIN', 10880],
  ['HND', 'SFO', 8280],
  ['SYD', 'SCL', 11340],
];
for (const [from, to, km] of flights) {
  test(`${from} to ${to} is ${km} km`, () => {
    const found = distanceKm(airports[from], airports[to]);
    expect(Math.abs(found - km) / km).toBeLessThan(0.01);
  });
}

test('a degree of the meridian is a 360th of the circle of the mean radius (IUGG)', () => {
  expect(distanceKm({ lat: 0, lon: 0 }, { lat: 1, lon: 0 })).toBeCloseTo((2 * Math.PI * 6371.0088) / 360, 6);
  expect(distanceKm({ lat: 0, lon: 179.5 }, { lat: 0, lon: -179.5 })).toBeCloseTo(111.195, 2);
  expect(distanceKm({ lat: 90, lon: 0 }, { lat: -90, lon: 77 })).toBeCloseTo(Math.PI * 6371.0088, 3);
});

// RFC 5870 §6.1 and §6.2 have these URIs.
const uris = [
  { uri: 'geo:13.4125,103.8667', point: { lat: 13.4125, lon: 103.8667 } },
  { uri: 'geo:48.2010,16.3695,183', point: { lat: 48.201, lon: 16.3695 } },
  { uri: 'geo:66,30;u=6.500;FOo=this%2dthat', point: { lat: 66, lon: 30 } },
  { uri: 'geo:91,0', point: undefined },
  { uri: 'https://example.org', point: undefined },
];
for (const { uri, point } of uris) test(`${uri} is read`, () => expect(parseGeoUri(uri)).toEqual(point));

const town = (name: string, country: string, population: number, at: [number, number], more = {}) => ({
  ...{ name, country, region: '', population, lat: at[0], lon: at[1], isCapital: false },
  ...more,
});
const towns = [
  town('Bergen', 'DE', 13_609, [52.8, 9.96]),
  town('Bergen', 'NO', 213_585, [60.39, 5.32]),
  town('Oslo', 'NO', 580_000, [59.91, 10.75], { isCapital: true }),
  town('Munich', 'DE', 1_260_391, [48.14, 11.58]),
  town('Springfield', 'US', 160_000, [37.2, -93.3], { region: 'MO' }),
  town('Springfield', 'US', 116_000, [39.8, -89.6], { region: 'IL' }),
  town('Saint-Étienne', 'FR', 176_000, [45.43, 4.39]),
];
const gazetteer = new Gazetteer(towns);

test('a town is found by its country and region, else the largest of its name', () => {
  expect(gazetteer.find({ name: 'bergen' })?.country).toBe('NO');
  expect(gazetteer.find({ name: 'Bergen', country: 'DE' })?.lat).toBe(52.8);
  expect(gazetteer.find({ name: 'Springfield', country: 'US', region: 'il' })?.lon).toBe(-89.6);
  expect(gazetteer.find({ name: 'Bergen', country: 'FR' })).toBeUndefined();
  expect(gazetteer.find({ name: 'München', country: 'DE' })?.name).toBe('Munich');
  expect(gazetteer.find({ name: 'St. Etienne' })?.country).toBe('FR');
  expect(gazetteer.findByBeginning('mun')?.name).toBe('Munich');
});

test('an address falls back from its own point to its town, to its country, and says so', () => {
  const known = new Map([[townKey({ town: 'Wexmere', country: 'GB' }), { lat: 53, lon: 0 }]]);
  const where = (place: Partial<Parameters<typeof locate>[0]>) => {
    const spot = locate({ town: '', region: '', country: '', ...place }, gazetteer, known);
    return spot && `${spot.by} ${spot.name} ${spot.lat}`;
  };
  expect(where({ town: 'Wexmere', country: 'GB', point: { lat: 1, lon: 2 } })).toBe('card Wexmere 1');
  expect(where({ town: 'Wexmere', country: 'GB' })).toBe('town Wexmere 53');
  expect(where({ town: 'Bergen', country: 'NO' })).toBe('town Bergen 60.39');
  expect(where({ town: 'Nowhere', country: 'NO' })).toBe('country NO 59.91');
  expect(where({ town: 'Nowhere' })).toBeUndefined();
});

test('the places of a card come with the preferred address first, its country as a code', () => {
  const component = (kind: string, value: string) => ({ kind, value });
  const card = {
    ...newCard('x', '2026-01-01T00:00:00Z'),
    addresses: {
      a1: { components: [component('locality', 'Oslo'), component('country', 'Norway')] },
      a2: {
        components: [component('locality', 'Bergen')],
        countryCode: 'no',
        pref: 1,
        coordinates: 'geo:60,5',
      },
      a3: { full: 'By the lighthouse' },
    },
  };
  expect(addressPlaces(card)).toEqual([
    { town: 'Bergen', region: '', country: 'NO', point: { lat: 60, lon: 5 } },
    { town: 'Oslo', region: '', country: 'NO' },
  ]);
});

test('the gazetteer comes back from its text, and a text that is none is refused with its line', () => {
  expect(readGazetteer(writeGazetteer(towns))).toEqual(towns);
  expect(() => readGazetteer('Bergen\tNO\t\t1\t2\t3\t\nnothing')).toThrow(
    'line 2 of the gazetteer is no town',
  );
});

test('who is at one point stands together, apart from those known by the country only', () => {
  const at = (uid: string, by: 'town' | 'country', lat: number) => ({
    uid,
    spot: { by, lat, lon: 0, name: uid },
  });
  const groups = groupSpots([
    at('a', 'town', 1),
    at('b', 'town', 2),
    at('c', 'country', 2),
    at('d', 'town', 2),
  ]);
  expect(groups.map(({ members }) => members.map(({ uid }) => uid).join(''))).toEqual(['bd', 'a', 'c']);
});

test('clusters lie apart, and nobody is lost or doubled', () => {
  const placed = fc.array(fc.record({ group: fc.nat(), x: fc.nat({ max: 400 }), y: fc.nat({ max: 400 }) }), {
    maxLength: 60,
  });
  fc.assert(
    fc.property(placed, fc.integer({ min: 1, max: 80 }), (all, apart) => {
      const clusters = clusterGroups(all, apart);
      expect(clusters.flatMap(({ groups }) => groups).sort()).toEqual(all.map(({ group }) => group).sort());
      for (const a of clusters)
        for (const b of clusters)
          expect(a === b || Math.abs(a.x - b.x) >= apart || Math.abs(a.y - b.y) >= apart).toBe(true);
    }),
  );
});
