import type { Sample } from './sampleValues';

const FIELDS = { box: 'box', building: 'building', town: 'town' };
/** Parts of an address; only beside one of them has a text a country. */
const PLACES = new Set([...Object.keys(FIELDS), 'street', 'postcode', 'region']);

/**
 * Reads texts in which the values are marked where they stand: `{post:Head of Keyboard}`, with what the card has behind
 * `=` where that is written otherwise, `{phone:01632 960 142=+441632960142}`. `{country=GB}` says what an address is
 * taken to be in. Each text has a line `#### language` above it.
 */
export function readMarkedTexts(file: string): Sample[] {
  return file
    .split(/^#### /m)
    .slice(1)
    .map((part, i) => {
      const at = part.indexOf('\n');
      const values: string[] = [];
      const country = /\{country=(\w\w)\}/.exec(part)?.[1];
      const text = part
        .slice(at + 1)
        .replace(/\{(?:country|reader)=\w\w\}\n?/g, '')
        .replace(/\{(\w+):([^{}=]*)(?:=([^{}]*))?\}/g, (_, field: string, shown: string, value?: string) => {
          values.push(`${field}: ${value ?? shown}`);
          return shown;
        });
      const isPlaced = values.some((value) => PLACES.has(value.split(':')[0] ?? ''));
      return {
        ...{ name: `${part.slice(0, at)} ${i + 1}`, text, country: /\{reader=(\w\w)\}/.exec(part)?.[1] },
        values: country !== undefined && isPlaced ? [...values, `country: ${country}`] : values,
      };
    });
}
