// Debian's packages that the tests use, installed where they are missing and it may.
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';

/** Whether packages can be installed here: Debian, and root. */
export function canInstall() {
  return existsSync('/usr/bin/apt-get') && process.getuid?.() === 0;
}

/** Installs packages; says nothing but what goes wrong. */
export function installPackages(names) {
  if (!canInstall()) return;
  const apt = (...args) =>
    spawnSync('apt-get', args, {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
  apt('update', '-qq');
  apt('install', '-y', '-qq', '--no-install-recommends', ...names);
}

/** Other programs' readers of vCards and of printed pages, which ours are held against. Without them those tests are left out. */
export function ensurePeers() {
  const isThere =
    existsSync('/usr/lib/python3/dist-packages/vobject') &&
    existsSync('/usr/share/php/Sabre/VObject/autoload.php') &&
    existsSync('/usr/bin/php') &&
    existsSync('/usr/bin/pdftotext');
  if (isThere || !canInstall()) return;
  console.log('Installing python3-vobject, php-sabre-vobject and poppler-utils …');
  installPackages(['python3-vobject', 'php-sabre-vobject', 'php-cli', 'poppler-utils']);
}
