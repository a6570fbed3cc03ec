const { readdirSync, readFileSync } = require('node:fs');
const { join, relative } = require('node:path');

const ROOT = join(__dirname, '../..');

/**
 * The TypeScript files of some folders of the project.
 *
 * @param {readonly string[]} folders - such as src
 * @returns {Map<string, string>} path from the project's folder, with slashes → text
 */
function readSources(folders) {
  return new Map(
    folders
      .flatMap((folder) => readdirSync(join(ROOT, folder), { withFileTypes: true, recursive: true }))
      .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name))
      .map((entry) => join(entry.parentPath ?? entry.path, entry.name))
      .map((path) => [relative(ROOT, path).replaceAll('\\', '/'), readFileSync(path, 'utf8')]),
  );
}

module.exports = { readSources };
