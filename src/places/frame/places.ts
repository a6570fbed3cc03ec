import { BookOpen, Brush, type Icon, List, Smartphone, Sun } from '@/ui';

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
