// Runs before the program, in the page as it arrives. The build lays in which pieces belong to which address.
(function () {
  const PIECES = [];

  /** Asks for the pieces of the page's address, beside the program and not after it. */
  function askForPieces() {
    const found = PIECES.find(([address]) => new RegExp(address).test(location.pathname));
    for (const href of found?.[1] ?? [])
      document.head.append(
        Object.assign(document.createElement('link'), { rel: 'preload', as: 'script', href }),
      );
  }

  /** Shows the page as it was left today, until the program draws it (src/platform/stillPage.ts keeps it). */
  function showStill() {
    const sketch = document.getElementById('sketch');
    const book = document.querySelector('meta[name="cordialis-book"]')?.content;
    const still = JSON.parse(localStorage.getItem(`still:${book}:${location.pathname}`) ?? 'null');
    const now = new Date();
    const day = [now.getFullYear(), now.getMonth() + 1, now.getDate()].join('-');
    const isSameWindow = still?.width === innerWidth && still.height === innerHeight;
    const fits = isSameWindow && still.day === day && still.program === programOf();
    if (!sketch || !fits) return;
    const { className, fontSize, fonts, html, css, link, length } = still;
    document.documentElement.className = className;
    document.documentElement.style.fontSize = fontSize;
    document.head.append(Object.assign(document.createElement('style'), { textContent: fonts }));
    const rules = Object.assign(document.createElement('style'), { textContent: css });
    const picture = Object.assign(document.createElement('div'), { innerHTML: html });
    picture.style.cssText = 'position:fixed;inset:0;display:flex;background:inherit';
    const sheet = Object.assign(document.createElement('link'), { rel: 'stylesheet', href: link });
    sketch.replaceChildren();
    // Closed, so that nothing that looks for parts of the page takes these for them.
    // In the order of the page, in which the classes of the sheet come after the rules that React Native makes.
    sketch.attachShadow({ mode: 'closed' }).append(rules, sheet, picture);
    sketch.inert = true;
    sketch.dataset.still = String(length);
  }

  /** Names the build: a picture of another one may look otherwise. */
  function programOf() {
    return document.currentScript?.getAttribute('src') ?? '';
  }

  askForPieces();
  try {
    showStill();
  } catch {
    // Without it the page comes a moment later.
  }
})();
