import { distanceKm, Gazetteer, readGazetteer, type Town, writeGazetteer } from '@/core/find';
import { addressPlaces, locate } from '@/core/find/places/locate';
import { generateBook } from '@/demo';

import { readTowns } from './placesApi';

let towns: Town[] = [];
let gazetteer = new Gazetteer([]);
beforeAll(async () => {
  towns = await readTowns();
  gazetteer = new Gazetteer(towns);
});

// Distances between city centres as atlases print them, in kilometres; from memory, 2 % allowed for where a centre is.
const pairs = [
  { from: 'London', to: 'Paris', km: 344 },
  { from: 'Berlin', to: 'Warszawa', km: 517 },
  { from: 'Wien', to: 'Budapest', km: 214 },
  { from: 'Oslo', to: 'Bergen', km: 305 },
  { from: 'New York City', to: 'Los Angeles', km: 3936 },
  { from: '東京', to: '大阪', km: 397 },
  { from: 'Sydney', to: 'Melbourne', km: 713 },
  { from: 'Lisboa', to: 'Madrid', km: 503 },
];
for (const { from, to, km } of pairs) {
  test(`${from} to ${to}: ${km} km`, () => {
    const [a, b] = [gazetteer.find({ name: from }), gazetteer.find({ name: to })];
    if (!a || !b) throw new Error('a town is missing');
    expect(Math.abs(distanceKm(a, b) - km) / km).toBeLessThan(0.02);
  });
}

test('the whole gazetteer passes through its text', () => {
  expect(towns.length).toBeGreaterThan(100_000);
  const text = writeGazetteer(towns);
  expect(writeGazetteer(readGazetteer(text)) === text).toBe(true);
});

test('nearly all addresses of the demo are found by their town or their own point', () => {
  const places = generateBook('2026-11-25').flatMap(addressPlaces);
  const spots = places.map((place) => locate(place, new Gazetteer([]), new Map()));
  expect(spots.filter((spot) => spot?.by === 'card').length).toBeGreaterThan(20);
  const known = new Map();
  const byTown = places.filter((place) =>
    ['card', 'town'].includes(locate(place, gazetteer, known)?.by ?? ''),
  );
  expect(byTown.length / places.length).toBeGreaterThan(0.9);
});
