/** Borders and coasts of Natural Earth, which is in the public domain. */
declare module 'world-atlas/countries-110m.json' {
  import type { Topology } from 'topojson-specification';
  const world: Topology;
  export = world;
}
declare module 'world-atlas/countries-50m.json' {
  import type { Topology } from 'topojson-specification';
  const world: Topology;
  export = world;
}
