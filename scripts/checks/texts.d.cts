import type { ImportProblem } from './imports.cjs';

/** Texts of the interface that are written in a screen instead of the catalogue. @param files - path → text */
export function checkTexts(files: ReadonlyMap<string, string>): ImportProblem[];
