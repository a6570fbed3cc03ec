import { escapeHtml } from '@/core/base';

import type { Letter } from './findLetters';
import type { LabelSheet } from './sheets';

/** Where a label stands. */
export interface LabelPlace {
  /** 0 for the first sheet. */
  readonly page: number;
  /** Millimetres from the top left corner of the paper. */
  readonly x: number;
  readonly y: number;
}

/**
 * Where labels stand, row by row from the left.
 *
 * @param start - the place of the first one, 1 for the first of the sheet, so that a sheet that was begun can be used up
 */
export function placeLabels(sheet: LabelSheet, count: number, start = 1): LabelPlace[] {
  const { columns, rows, labelWidth, labelHeight, left, top, gapX, gapY } = sheet;
  const each = columns * rows;
  const first = Math.min(Math.max(1, Math.floor(start)), each) - 1;
  return Array.from({ length: count }, (_, i) => {
    const at = (first + i) % each;
    return {
      page: Math.floor((first + i) / each),
      x: left + (at % columns) * (labelWidth + gapX),
      y: top + Math.floor(at / columns) * (labelHeight + gapY),
    };
  });
}

/** Millimetres between the edge of a label and its text. */
const PADDING = 4;

/** Points of the type: as large as fits, between these. */
const [LEAST_PT, MOST_PT] = [7, 11];
/** A line's height in type sizes, and millimetres of a point. */
const [LINE, POINT_MM] = [1.25, 0.3528];

/** The labels as an HTML document whose pages are the sheets, to be printed at its full size. */
export function labelsAsPage(
  letters: readonly Pick<Letter, 'lines'>[],
  sheet: LabelSheet,
  start = 1,
): string {
  const places = placeLabels(sheet, letters.length, start);
  const pages: string[] = [];
  letters.forEach(({ lines }, i) => {
    const place = places[i];
    if (!place) return;
    const { page, x, y } = place;
    const text = lines.map((line) => `<div>${escapeHtml(line)}</div>`).join('');
    const style = `left:${mm(x)};top:${mm(y)};font-size:${sizeFor(lines, sheet)}pt`;
    pages[page] = `${pages[page] ?? ''}<div class="label" style="${style}">${text}</div>`;
  });
  const { paperWidth, paperHeight, labelWidth, labelHeight } = sheet;
  const css = `@page { size: ${mm(paperWidth)} ${mm(paperHeight)}; margin: 0 } body { margin: 0; color: #000 }
section { position: relative; width: ${mm(paperWidth)}; height: ${mm(paperHeight)}; overflow: hidden; break-after: page }
section:last-child { break-after: auto }
.label { position: absolute; box-sizing: border-box; width: ${mm(labelWidth)}; height: ${mm(labelHeight)};
  padding: ${mm(PADDING)}; overflow: hidden; display: flex; flex-direction: column; justify-content: center;
  font-family: "Atkinson Hyperlegible", sans-serif; line-height: ${LINE} }
.label div { unicode-bidi: plaintext }`;
  return document('Labels', css, pages.map((page) => `<section>${page}</section>`).join(''));
}

function sizeFor(lines: readonly string[], { labelHeight }: LabelSheet): number {
  const fits = (labelHeight - 2 * PADDING) / (Math.max(1, lines.length) * LINE * POINT_MM);
  return Math.round(Math.min(MOST_PT, Math.max(LEAST_PT, fits)) * 10) / 10;
}

/** A length in CSS. */
export function mm(value: number): string {
  return `${Math.round(value * 100) / 100}mm`;
}

/** An HTML document. @param body - escaped already */
export function document(title: string, css: string, body: string): string {
  return `<!doctype html><html><head><meta charset="utf-8"><title>${escapeHtml(title)}</title><style>${css}</style></head><body>${body}</body></html>`;
}
