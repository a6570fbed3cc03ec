/** What was given can't be worked with; the message says what and where, in one line. */
export class UnusableInput extends Error {}
