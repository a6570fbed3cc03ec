import { foldedWords } from '@/core/base';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/quickline';
import {
  Archive,
  BookOpen,
  Brush,
  CircleHelp,
  type Icon,
  List,
  Mail,
  Settings2,
  Smartphone,
  Sun,
} from '@/ui';

/** A page that the quick line leads to by its name. */
export interface NamedPage {
  readonly path: string;
  readonly label: string;
  readonly icon: Icon;
  /** What the line shows it by, where it has no page of its own. */
  readonly line?: string;
  /** What stands under its name, where that is more than that it is gone to. */
  readonly says?: string;
}

/** The five places, in the order of the bar and the rail. */
export const PLACES: readonly { readonly path: string; readonly label: string; readonly icon: Icon }[] = [
  { path: '/today', label: texts.today, icon: Sun },
  { path: '/book', label: texts.book, icon: BookOpen },
  { path: '/lists', label: texts.lists, icon: List },
  { path: '/tidy', label: texts.tidy, icon: Brush },
  { path: '/devices', label: texts.devices, icon: Smartphone },
];

/** Whether an address lies in a place. */
export function isInPlace(pathname: string, place: string): boolean {
  return pathname === place || pathname.startsWith(`${place}/`);
}

const PAGES: readonly NamedPage[] = [
  ...PLACES,
  { path: '/settings', label: texts.settings, icon: Settings2 },
  { path: '/write', label: shared.writeMessage, icon: Mail },
  { path: '/write?by=letter', label: texts.labelsAndLetters, icon: Mail },
  { path: '/directory', label: texts.directory, icon: BookOpen },
  { path: '/book/table', label: texts.tableOfBook, icon: BookOpen },
  { path: '/book/map', label: shared.mapOfWherePeople, icon: BookOpen },
  { path: '/book/new', label: shared.newCard, icon: BookOpen },
  { path: '/import', label: texts.import, icon: BookOpen },
  { path: '/import/text', label: shared.cardFromText, icon: BookOpen },
  { path: '/import/talks', label: shared.talksFromMailAndCalendars, icon: BookOpen },
  { path: '/today/year', label: texts.year, icon: Sun },
  { path: '/devices/connect', label: shared.connectDevice, icon: Smartphone },
  { path: '/devices/log', label: texts.logOfDevices, icon: Smartphone },
  { path: 'archived', label: texts.archivedCards, icon: Archive, line: texts.archivedLimit },
];

/** Pages that no bar leads to on a phone, offered before anything is typed. */
export const FURTHER_PAGES: readonly NamedPage[] = PAGES.filter(({ path }) =>
  ['/import', '/write', '/directory', 'archived', '/settings'].includes(path),
);

/** The day's page, with what it asks for; nothing where it asks for nothing. @param due - '' for nothing */
export function dayPage(due: string): readonly NamedPage[] {
  return due === ''
    ? []
    : PAGES.filter(({ path }) => path === '/today').map((page) => ({ ...page, says: due }));
}

/** Lines to try, each shown by the line itself. */
export function examplePages(lines: readonly string[]): readonly NamedPage[] {
  return lines.map((line) => ({
    ...{ path: `try ${line}`, label: line, line },
    ...{ icon: CircleHelp, says: texts.examples },
  }));
}

/** Fewer letters begin the names of too many people. */
const LETTERS = 3;

/** The pages whose names have words that begin with those of a line, in the order of the list. */
export function pagesFor(line: string): readonly NamedPage[] {
  const asked = foldedWords(line);
  if (asked.join('').length < LETTERS) return [];
  return PAGES.filter(({ label, line: shownBy }) => {
    if (shownBy === line.trim()) return false;
    const words = foldedWords(label);
    return asked.every((start) => words.some((word) => word.startsWith(start)));
  });
}

/** Whether a line is the name of a page and no more. */
export function isNameOf({ label }: NamedPage, line: string): boolean {
  return foldedWords(label).join(' ') === foldedWords(line).join(' ');
}
