import type { Dice } from './random';

const SKINS = ['#f2d3b6', '#e8bd97', '#d59f74', '#b87f56', '#8d5a3b', '#6b4129'];
const HAIRS = ['#2d2521', '#4a3527', '#7a5230', '#a8763e', '#c9b08a', '#8e8b86', '#d8d4cb'];
const CLOTHS = ['#5b6b7a', '#7b4b52', '#5a6b4a', '#8a6a3f', '#6a5a78', '#3f5f63', '#8c8375'];
const GROUNDS = ['#e9e0cf', '#dfe3d6', '#e6d9d4', '#d9dfe2', '#e4dcc6'];

/**
 * A portrait drawn by rule: a head, hair, shoulders, in muted colours. Nobody looks like this.
 *
 * @returns SVG as a data: URI, upright 4:5
 */
export function drawPortrait(dice: Dice): string {
  const skin = dice.pick(SKINS);
  const hair = dice.pick(HAIRS);
  const width = 15 + dice.below(4);
  const height = 19 + dice.below(4);
  const parts = [
    `<rect width="80" height="100" fill="${dice.pick(GROUNDS)}"/>`,
    ...backHair(dice, hair, width),
    `<path d="M8 100c2-22 16-28 32-28s30 6 32 28z" fill="${dice.pick(CLOTHS)}"/>`,
    `<path d="M33 58h14v14c0 5-14 5-14 0z" fill="${skin}"/>`,
    `<ellipse cx="40" cy="44" rx="${width}" ry="${height}" fill="${skin}"/>`,
    ...face(dice, hair),
    ...topHair(dice, hair, width, height),
  ];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 80 100">${parts.join('')}</svg>`;
  return `data:image/svg+xml;base64,${btoa(svg)}`;
}

function backHair(dice: Dice, hair: string, width: number): string[] {
  if (!dice.chance(0.45)) return [];
  const length = 66 + dice.below(16);
  return [
    `<path d="M${36 - width} 44c0-30 ${8 + 2 * width}-30 ${8 + 2 * width} 0v${length - 44}H${36 - width}z" fill="${hair}"/>`,
  ];
}

function face(dice: Dice, hair: string): string[] {
  const ink = '#3a2f28';
  const parts = [
    `<circle cx="34" cy="44" r="1.6" fill="${ink}"/><circle cx="46" cy="44" r="1.6" fill="${ink}"/>`,
    `<path d="M40 46v6" stroke="${ink}" stroke-opacity=".35" stroke-width="1.4"/>`,
    `<path d="M35 57q5 ${2 + dice.below(4)} 10 0" fill="none" stroke="${ink}" stroke-opacity=".7" stroke-width="1.5"/>`,
  ];
  if (dice.chance(0.28)) {
    parts.push(
      `<g fill="none" stroke="${ink}" stroke-width="1.2"><circle cx="34" cy="44" r="5"/><circle cx="46" cy="44" r="5"/><path d="M39 44h2"/></g>`,
    );
  }
  if (dice.chance(0.2)) parts.push(`<path d="M28 52c2 14 22 14 24 0-3 6-21 6-24 0z" fill="${hair}"/>`);
  return parts;
}

function topHair(dice: Dice, hair: string, width: number, height: number): string[] {
  const top = 44 - height;
  const left = 40 - width;
  const shapes = [
    `<path d="M${left} 42c-2-${height + 6} ${2 * width + 4}-${height + 6} ${2 * width} 0-4-8-8-10-${width}-10s-${width - 6} 4-${width} 10z" fill="${hair}"/>`,
    `<path d="M${left} 40q0-${height - 4} ${width}-${height - 2}t${width} ${height - 4}q-6-9-${width + 4}-8-4 6-${width - 6} 10z" fill="${hair}"/>`,
    `<path d="M${left + 1} 36q${width - 1}-${height} ${2 * width - 2} 0-${width - 1}-7-${2 * width - 2} 0z" fill="${hair}"/>`,
    `<circle cx="40" cy="${top + 1}" r="6" fill="${hair}"/><path d="M${left} 40q2-${height} ${width}-${height - 2} ${width - 2} 0 ${width} ${height - 2}-8-12-${width}-12t-${width} 12z" fill="${hair}"/>`,
  ];
  // A few have none.
  return dice.chance(0.93) ? [dice.pick(shapes)] : [];
}
