/**
 * Greetings and salutations in the language that somebody prefers.
 * Standard: language tags (RFC 5646), grammatical gender (RFC 9553 §2.2.4); the words are common practice, from memory.
 * Left out: whom to greet, and when (core/talks).
 */
export { greetingFor, type GreetedKind } from './greetingFor';
export { languageOf } from './languageOf';
export { salutationFor } from './salutationFor';
