import { escapeHtml } from '@/core/base';

import type { Letter } from './findLetters';
import { document, mm } from './labels';

/** An envelope, in millimetres, its flap above. */
export interface EnvelopeSize {
  readonly name: string;
  readonly width: number;
  readonly height: number;
}

/** ISO 269, and the usual one of North America (common practice). */
export const ENVELOPES: readonly EnvelopeSize[] = [
  { name: 'DL, 220 × 110 mm', width: 220, height: 110 },
  { name: 'C6, 162 × 114 mm', width: 162, height: 114 },
  { name: 'C5, 229 × 162 mm', width: 229, height: 162 },
  { name: 'C4, 324 × 229 mm', width: 324, height: 229 },
  { name: 'US no. 10, 241 × 105 mm', width: 241.3, height: 104.8 },
];

/** Millimetres from the edges to the sender's lines. */
const EDGE = 10;

/** Envelopes as an HTML document, one a page: the sender at the top left, the address in the lower right half. */
export function envelopesAsPage(
  letters: readonly Pick<Letter, 'lines'>[],
  { width, height }: EnvelopeSize,
  sender: readonly string[],
): string {
  const from = sender.map((line) => `<div>${escapeHtml(line)}</div>`).join('');
  const pages = letters.map(({ lines }) => {
    const to = lines.map((line) => `<div>${escapeHtml(line)}</div>`).join('');
    return `<section>${from === '' ? '' : `<div class="from">${from}</div>`}<div class="to">${to}</div></section>`;
  });
  const css = `@page { size: ${mm(width)} ${mm(height)}; margin: 0 } body { margin: 0; color: #000 }
section { position: relative; width: ${mm(width)}; height: ${mm(height)}; overflow: hidden; break-after: page;
  font-family: "Atkinson Hyperlegible", sans-serif; line-height: 1.3 }
section:last-child { break-after: auto }
.from { position: absolute; left: ${mm(EDGE)}; top: ${mm(EDGE)}; font-size: 8pt }
.to { position: absolute; left: ${mm(width / 2 - EDGE)}; top: ${mm(height / 2 - EDGE / 2)}; font-size: 12pt }
.from div, .to div { unicode-bidi: plaintext }`;
  return document('Envelopes', css, pages.join(''));
}
