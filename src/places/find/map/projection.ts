import { geoCircle, geoEqualEarth, geoPath, type GeoPermissibleObjects } from 'd3-geo';
import { feature, mesh } from 'topojson-client';
import type { GeometryCollection, Topology } from 'topojson-specification';

import { EARTH_KM, type Point } from '@/core/find';

/** The world is drawn this wide, in units that the view scales to pixels. */
export const WORLD = 1000;

/** Areas stay true to each other (Šavrič, Patterson, Jenny 2018). */
const projection = geoEqualEarth().fitWidth(WORLD, { type: 'Sphere' });
const path = geoPath(projection);

/** Height of the world in the same units. */
export const WORLD_HEIGHT = path.bounds({ type: 'Sphere' })[1][1];

/** Kilometres of a degree on the mean sphere. */
const KM_PER_DEGREE = (2 * Math.PI * EARTH_KM) / 360;

/** Where a point of the globe lies on the drawn world. */
export function project({ lat, lon }: Point): readonly [x: number, y: number] {
  return projection([lon, lat]) ?? [0, 0];
}

/** The world as paths of SVG. */
export interface WorldPaths {
  readonly land: string;
  readonly borders: string;
}

/** Draws a topology of countries. */
export function drawWorld(world: Topology): WorldPaths {
  const countries = world.objects['countries'] as GeometryCollection;
  const land = world.objects['land'] as GeometryCollection;
  return {
    land: path(feature(world, land) as GeoPermissibleObjects) ?? '',
    borders: path(mesh(world, countries, (a, b) => a !== b)) ?? '',
  };
}

/** All points so far from another, as a path of SVG. */
export function drawCircle({ lat, lon }: Point, km: number): string {
  return (
    path(
      geoCircle()
        .center([lon, lat])
        .radius(km / KM_PER_DEGREE)(),
    ) ?? ''
  );
}
