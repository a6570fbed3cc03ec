import { escapeHtml } from '@/core/base';
import { type Card, cardValues, initialsOf, shownAs, type ShowOptions } from '@/core/card';

/** How the page looks: the application's own manner, in black on white, four cards a sheet at most. */
const STYLE = `
  @page { margin: 16mm }
  body { font: 11pt/1.4 "Atkinson Hyperlegible", sans-serif; color: #000; margin: 0 }
  article { break-inside: avoid; padding: 0 0 10mm }
  header { display: flex; gap: 5mm; border-bottom: 0.3mm solid #000; padding-bottom: 3mm; margin-bottom: 2mm }
  .stamp { width: 18mm; height: 22.5mm; border: 0.3mm solid #000; border-radius: 1.5mm; display: flex;
    align-items: center; justify-content: center; font: 16pt Newsreader, serif; object-fit: cover }
  .org { width: 22.5mm; height: 18mm }
  h1 { font: 20pt Newsreader, serif; margin: 0 }
  dl { display: grid; grid-template-columns: 30mm 1fr; margin: 0; row-gap: 1mm }
  dt { color: #444 } dd { margin: 0; white-space: pre-line } small { color: #444 }`;

/** What the page needs beside the cards. */
export interface PageOptions extends ShowOptions {
  /** The data: URI of a card's photo. */
  readonly photoOf?: (card: Card) => string | undefined;
}

/** Some cards as an HTML document to print. Every text of a card is escaped: none of it can become markup. */
export function cardsAsPage(cards: readonly Card[], options: PageOptions): string {
  const articles = cards.map((card) => articleOf(card, options)).join('');
  const title = cards.length === 1 && cards[0] ? shownAs(cards[0]) : `${cards.length} cards`;
  return `<!doctype html><html><head><meta charset="utf-8"><title>${escapeHtml(title)}</title><style>${STYLE}</style></head><body>${articles}</body></html>`;
}

function articleOf(card: Card, options: PageOptions): string {
  const post = Object.values(card.titles ?? {})[0]?.name;
  const house = Object.values(card.organizations ?? {})[0]?.name;
  const second = [post, house === shownAs(card) ? '' : house].filter(Boolean).join(', ');
  const rows = cardValues(card, { ...options, isToKeep: true }).map(({ label, values }) => {
    const texts = values.map(
      ({ lines, second: kind }) =>
        `${escapeHtml(lines.join('\n'))}${kind === '' ? '' : ` <small>${escapeHtml(kind)}</small>`}`,
    );
    return `<dt>${escapeHtml(label)}</dt><dd>${texts.join('<br>')}</dd>`;
  });
  const shape = card.kind === 'org' ? 'stamp org' : 'stamp';
  const photo = options.photoOf?.(card);
  const isImage =
    photo !== undefined && /^data:image\/(png|jpeg|gif|webp);base64,[A-Za-z0-9+/=]*$/.test(photo);
  const stamp = isImage
    ? `<img class="${shape}" src="${photo}" alt="">`
    : `<div class="${shape}">${escapeHtml(initialsOf(card))}</div>`;
  return `<article><header>${stamp}<div><h1>${escapeHtml(shownAs(card))}</h1>${escapeHtml(second)}</div></header><dl>${rows.join('')}</dl></article>`;
}
