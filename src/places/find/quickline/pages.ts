import { foldedWords } from '@/core/base';
import { BookOpen, Brush, type Icon, List, Mail, Settings2, Smartphone, Sun } from '@/ui';

/** A page that the quick line leads to by its name. */
export interface NamedPage {
  readonly path: string;
  readonly label: string;
  readonly icon: Icon;
}

/** The five places, in the order of the bar and the rail. */
export const PLACES: readonly { readonly path: string; readonly label: string; readonly icon: Icon }[] = [
  { path: '/today', label: 'Today', icon: Sun },
  { path: '/book', label: 'Book', icon: BookOpen },
  { path: '/lists', label: 'Lists', icon: List },
  { path: '/tidy', label: 'Tidy', icon: Brush },
  { path: '/devices', label: 'Devices', icon: Smartphone },
];

/** Whether an address lies in a place. */
export function isInPlace(pathname: string, place: string): boolean {
  return pathname === place || pathname.startsWith(`${place}/`);
}

const PAGES: readonly NamedPage[] = [
  ...PLACES,
  { path: '/settings', label: 'Settings', icon: Settings2 },
  { path: '/write', label: 'Write a message', icon: Mail },
  { path: '/write?by=letter', label: 'Labels and letters', icon: Mail },
  { path: '/directory', label: 'Directory', icon: BookOpen },
  { path: '/book/table', label: 'Table of the Book', icon: BookOpen },
  { path: '/book/map', label: 'Map of where people are', icon: BookOpen },
  { path: '/book/new', label: 'New card', icon: BookOpen },
  { path: '/import', label: 'Import', icon: BookOpen },
  { path: '/import/text', label: 'Card from text', icon: BookOpen },
  { path: '/import/talks', label: 'Talks from mail and calendars', icon: BookOpen },
  { path: '/today/year', label: 'The year', icon: Sun },
  { path: '/devices/connect', label: 'Connect a device', icon: Smartphone },
  { path: '/devices/log', label: 'Log of the devices', icon: Smartphone },
];

/** Fewer letters begin the names of too many people. */
const LETTERS = 3;

/** The pages whose names have words that begin with those of a line, in the order of the list. */
export function pagesFor(line: string): readonly NamedPage[] {
  const asked = foldedWords(line);
  if (asked.join('').length < LETTERS) return [];
  return PAGES.filter(({ label }) => {
    const words = foldedWords(label);
    return asked.every((start) => words.some((word) => word.startsWith(start)));
  });
}

/** Whether a line is the name of a page and no more. */
export function isNameOf({ label }: NamedPage, line: string): boolean {
  return foldedWords(label).join(' ') === foldedWords(line).join(' ');
}
