import { isOneOf, TITLES } from './nameWords';

/** Whether a line begins with what stands before a name: "Dr. phil.", "Herr", "Mr & Mrs". */
export function startsWithTitle(text: string): boolean {
  return isOneOf(text.trim().split(/\s+/)[0] ?? '', TITLES);
}
