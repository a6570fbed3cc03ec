// Tells the engine which functions are called at once, so that it compiles them while the script arrives.
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const SCRIPTS = '_expo/static/js/web';
/** A module as Metro writes it, on a line of its own: `__d(function(…){…},12,[3,4]);` */
const MODULE = /^__d\((function\(.*\})(,\d+,(?:\[[^\]]*\]|\{.*\})\);?)$/;

/**
 * Puts each module's function between parentheses. Engines take a function that stands so for one that is called at once,
 * and compile it with the script, beside the page's thread; else they read it past, and again when it is called: with a
 * processor slowed six times the first words of Today came after 2.0 s where it was 3.4 (npm run bench -- slow).
 * @param out - the build
 */
export function hintEagerModules(out) {
  for (const name of readdirSync(join(out, SCRIPTS)).filter((each) => each.endsWith('.js'))) {
    const file = join(out, SCRIPTS, name);
    const lines = readFileSync(file, 'utf8').split('\n');
    writeFileSync(file, lines.map((line) => line.replace(MODULE, '__d(($1)$2')).join('\n'));
  }
}
