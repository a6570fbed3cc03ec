/** A rule about who imports whom that is broken. */
export interface ImportProblem {
  readonly file: string;
  readonly line: number;
  readonly rule: string;
  readonly message: string;
}
/** @param files - path from the project's folder → text */
export function checkImports(files: ReadonlyMap<string, string>): ImportProblem[];
/** The files that import some files, over however many in between, and these. */
export function dependentsOf(files: ReadonlyMap<string, string>, changed: readonly string[]): string[];
