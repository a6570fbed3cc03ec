/** The words of a language by what they mean to the line, and how its order differs. Ordinary speech, from memory. */
export interface LineLanguage {
  /**
   * Words in small letters by the words that the readers know, '' for those that say nothing. With a '!' before them they
   * are what is wanted, and go to the beginning.
   */
  readonly phrases: Readonly<Record<string, string>>;
  /** Verbs in two parts with whom or what between them: "ruf … an". */
  readonly around: readonly (readonly [first: string, last: string, means: string])[];
  /** Words that mean one thing before a list, and another before anything else. */
  readonly beforeList: Readonly<Record<string, readonly [list: string, other: string]>>;
  /** Words that mean something else where they are the whole line. */
  readonly alone: Readonly<Record<string, string>>;
  /** Words that say nothing behind a verb, and "to" elsewhere: "llama a ada". */
  readonly behindVerb: readonly string[];
  /** Whether a name with an s at its end is an owner: "adas nummer". */
  readonly hasOwnerS: boolean;
}
