/** A rule about who imports whom that is broken. */
export interface ImportProblem {
  readonly file: string;
  readonly line: number;
  readonly rule: string;
  readonly message: string;
}
/** @param files - path from the project's folder → text */
export function checkImports(files: ReadonlyMap<string, string>): ImportProblem[];
