// Finds a Chromium for the tests in the browser, or installs Debian's where that is possible.
import { existsSync } from 'node:fs';

import { canInstall, installPackages } from './debian.mjs';
import { fail } from './setup.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser'];
const PACKAGES = ['chromium', 'fonts-noto-core', 'fonts-noto-cjk'];

/** The path of a Chromium; CHROMIUM in the environment wins. */
export function ensureChromium() {
  const wished = process.env.CHROMIUM;
  if (wished) return existsSync(wished) ? wished : fail(`CHROMIUM names ${wished}, where there is nothing.`);
  const found = PLACES.find((place) => existsSync(place));
  if (found && hasFonts()) return found;
  if (canInstall()) console.log('Installing Chromium and fonts …');
  installPackages(PACKAGES);
  return (
    PLACES.find((place) => existsSync(place)) ??
    fail(
      'The tests need Chromium. Install it (on Debian: apt-get install chromium fonts-noto-core fonts-noto-cjk), or set CHROMIUM to its path.',
    )
  );
}

/** Fonts matter to the pictures only, so a system without Debian's packages is taken as it is. */
function hasFonts() {
  return !canInstall() || existsSync('/usr/share/fonts/opentype/noto');
}
