/** Parameters of a property by upper-case name, each with its values in the order written. */
export type Params = Record<string, string[]>;

/** One property of a vCard (RFC 6350 §3.3), its value still as the syntax writes it. */
export interface ContentLine {
  readonly group?: string;
  /** In capitals. */
  readonly name: string;
  readonly params: Params;
  readonly value: string;
  /** Where it stood, from 1; 0 for one that was not read from a file. */
  readonly line: number;
}
