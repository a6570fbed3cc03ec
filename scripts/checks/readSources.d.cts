/** The TypeScript files of some folders of the project: path from the project's folder → text. */
export function readSources(folders: readonly string[]): Map<string, string>;
