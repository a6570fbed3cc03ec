// The look in figures: contrast by WCAG 2.2, and the two places that hold the colours say the same.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

import tokens from '@/ui/theme/tokens.json';

type Scheme = keyof typeof tokens.colours;
type Token = keyof (typeof tokens.colours)['light'];

const SCHEMES: readonly Scheme[] = ['light', 'dark'];
/** What text is written in, and on which grounds. */
const PAIRS: readonly (readonly [Token, readonly Token[]])[] = [
  ['ink', ['paper', 'leaf']],
  ['faded', ['paper', 'leaf']],
  ['berry', ['paper', 'leaf']],
  ['moss', ['paper']],
  ['ochre', ['paper']],
  ['brick', ['paper', 'leaf']],
  ['onBerry', ['berry']],
];

/** WCAG 2.2, relative luminance of an sRGB colour. */
function luminance(hex: string): number {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const channel = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return channel <= 0.04045 ? channel / 12.92 : ((channel + 0.055) / 1.055) ** 2.4;
  });
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

/** WCAG 2.2, contrast ratio. */
function contrast(a: string, b: string): number {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

test('the measure of contrast gives the standard’s own values: 21 for black on white, 1 for a colour on itself', () => {
  expect(contrast('#000000', '#FFFFFF')).toBeCloseTo(21, 5);
  expect(contrast('#8C2F45', '#8C2F45')).toBe(1);
  // A grey often given as the lightest that passes on white: #767676, 4.54.
  expect(contrast('#767676', '#FFFFFF')).toBeCloseTo(4.54, 2);
});

for (const scheme of SCHEMES) {
  for (const [text, grounds] of PAIRS) {
    for (const ground of grounds) {
      test(`${text} on ${ground} can be read, ${scheme} (WCAG AA, 4.5:1)`, () => {
        const colours = tokens.colours[scheme];
        expect(contrast(colours[text], colours[ground])).toBeGreaterThanOrEqual(4.5);
      });
    }
  }

  test(`the style sheet has the ${scheme} tokens as channels`, () => {
    const css = readFileSync(join(__dirname, '../../src/ui/theme/global.css'), 'utf8');
    const rule =
      new RegExp(scheme === 'light' ? ':root \\{([^}]*)\\}' : ':root\\.dark \\{([^}]*)\\}').exec(css)?.[1] ??
      '';
    const names = Object.keys(tokens.colours[scheme]) as Token[];
    expect(names.length).toBeGreaterThan(8);
    for (const name of names) {
      const hex = tokens.colours[scheme][name];
      const channels = [1, 3, 5].map((at) => Number.parseInt(hex.slice(at, at + 2), 16)).join(' ');
      expect(rule.replace(/\s+/g, ' ')).toContain(`--${name}: ${channels};`);
    }
  });
}

test('no text is smaller than 13 px, and there are five sizes', () => {
  const sizes = Object.values(tokens.sizes).map(([size]) => size);
  expect(sizes).toEqual([13, 15, 17, 21, 28]);
});
