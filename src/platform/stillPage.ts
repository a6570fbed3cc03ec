import { PAGE_ID } from './keyboard';

/** Pages whose picture is kept: those with people on them. Never what is being written, nor what has passphrases. */
const KEPT = /^\/(today|book|lists|tidy)\/?$|^\/(book|lists)\/(?!new|table|map)[^/]+\/?$/;
const PREFIX = 'still:';
const AT_MOST = 8;
/** Characters. Far more than a page has; what is larger would take longer to show than it saves. */
const TOO_LONG = 400_000;

/** Characters. A page with fewer has nothing on it yet but what stands in for it. */
const LEAST = 60;

/** px below the edge of the window that are kept: what is cut by the edge is laid out with all its parts. */
const ROW = 200;

/** A page as it stood, to stand there again until the program has drawn it (scripts/page/ahead.js shows it). */
interface Still {
  readonly day: string;
  readonly width: number;
  readonly height: number;
  readonly program: string;
  readonly className: string;
  readonly fontSize: string;
  readonly fonts: string;
  readonly css: string;
  readonly link: string;
  readonly html: string;
  /** Characters of text of the page itself: as soon as about as many stand there, the picture can go. */
  readonly length: number;
}

/**
 * Keeps the page as it stands, for the next start at this address today. Does nothing where there is nothing to keep.
 * @returns false where the page can't be kept as it stands but may be later
 */
export function keepStill(): boolean {
  const book = document.querySelector<HTMLMetaElement>('meta[name="cordialis-book"]')?.content;
  if (book === undefined || !KEPT.test(window.location.pathname)) return true;
  const still = takeStill();
  if (!still) return false;
  const key = `${PREFIX}${book}:${window.location.pathname}`;
  try {
    window.localStorage.setItem(key, JSON.stringify(still));
    const others = Object.keys(window.localStorage).filter((each) => each.startsWith(PREFIX) && each !== key);
    for (const old of others.slice(0, Math.max(0, others.length - AT_MOST + 1)))
      window.localStorage.removeItem(old);
  } catch {
    // No room, or none allowed: the page then comes a moment later.
  }
  return true;
}

/** Takes away what stood in for the page before the program had been read (public/index.html). */
export function removeSketch(): void {
  whenDrawn(() => document.getElementById('sketch')?.remove());
}

/** Calls back at once, or, where the page stands there as a picture, as soon as it has been drawn itself. */
function whenDrawn(done: () => void): void {
  const sketch = document.getElementById('sketch');
  const expected = Number(sketch?.dataset['still'] ?? 0);
  const { pathname } = window.location;
  const started = performance.now();
  const look = () => {
    const isElsewhere = window.location.pathname !== pathname;
    const isLate = performance.now() - started > 4000;
    if (textOf(document).length >= expected * 0.8 || isElsewhere || isLate) done();
    else requestAnimationFrame(look);
  };
  look();
}

const textOf = (within: ParentNode) => within.querySelector(`#${PAGE_ID} .peer`)?.textContent ?? '';

function takeStill(): Still | undefined {
  const root = document.getElementById('root');
  const program = document.querySelector('script[src*="/ahead-"]')?.getAttribute('src');
  const link = document.querySelector<HTMLLinkElement>('link[rel="stylesheet"]')?.href;
  const isOpen = document.querySelector('[role="dialog"], #sketch') !== null;
  const isComing = [...document.querySelectorAll<HTMLElement>('[data-testid="coming"]')].some(
    ({ offsetHeight }) => offsetHeight > 0,
  );
  if (!root || !program || link === undefined || isOpen || isComing || isScrolled(root)) return undefined;
  const length = textOf(document).length;
  const html = pictureOf(root);
  if (length < LEAST || html.length > TOO_LONG) return undefined;
  const now = new Date();
  const styles = [...document.styleSheets].filter(({ ownerNode }) => ownerNode instanceof HTMLStyleElement);
  const rules = styles.flatMap((sheet) => [...sheet.cssRules]);
  const textFor = (isFont: boolean) =>
    rules
      .filter((rule) => rule instanceof CSSFontFaceRule === isFont)
      .map(({ cssText }) => cssText)
      .join('\n');
  const { className, style } = document.documentElement;
  return {
    day: [now.getFullYear(), now.getMonth() + 1, now.getDate()].join('-'),
    width: window.innerWidth,
    height: window.innerHeight,
    program,
    className,
    fontSize: style.fontSize,
    fonts: textFor(true),
    css: textFor(false),
    link,
    html,
    length,
  };
}

/** A picture shows the top of everything, so one that was scrolled would show something else. */
function isScrolled(root: HTMLElement): boolean {
  return [...root.querySelectorAll('div')].some(({ scrollTop }) => scrollTop > 0);
}

/** The markup of what is in sight, without anything that acts, names itself or has been typed. */
function pictureOf(root: HTMLElement): string {
  // In a document of its own, where pictures aren't fetched.
  const copy = document.implementation.createHTMLDocument().importNode(root, true);
  const originals = [...root.querySelectorAll('*')];
  const copies = [...copy.querySelectorAll<HTMLElement>('*')];
  originals.forEach((original, i) => {
    const { top, height } = original.getBoundingClientRect();
    const element = copies[i];
    if (!element) return;
    if (height > 0 && top > window.innerHeight + ROW) return element.remove();
    for (const { name } of [...element.attributes])
      if (/^(id|href|value|tabindex|role|data-|aria-|on)/.test(name)) element.removeAttribute(name);
    // Photos lie in memory, under addresses that end with the page.
    if (/blob:/.test(element.getAttribute('src') ?? '')) element.removeAttribute('src');
    if (/blob:/.test(element.style.backgroundImage)) element.style.backgroundImage = '';
  });
  return copy.innerHTML;
}
