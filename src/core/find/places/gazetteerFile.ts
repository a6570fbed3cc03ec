import type { Town } from './gazetteer';

/** The gazetteer as text, a town a line: name, country, region, population, latitude, longitude, 1 for a capital. */
export function writeGazetteer(towns: readonly Town[]): string {
  return towns
    .map(({ name, country, region, population, lat, lon, isCapital }) =>
      [name, country, region, population, lat, lon, isCapital ? '1' : ''].join('\t'),
    )
    .join('\n');
}

/** Towns from that text. @throws Error for a text that isn't one */
export function readGazetteer(text: string): Town[] {
  return text.split('\n').map((line, at) => {
    const [name = '', country = '', region = '', population, lat, lon, capital] = line.split('\t');
    const figures = { population: Number(population), lat: Number(lat), lon: Number(lon) };
    if (name === '' || !Object.values(figures).every(Number.isFinite))
      throw new Error(`line ${at + 1} of the gazetteer is no town: ${line.slice(0, 60)}`);
    return { name, country, region, ...figures, isCapital: capital === '1' };
  });
}
