/** The address of a device's passport. */
export function devicePath(name: string): string {
  return `/devices/${encodeURIComponent(name)}`;
}

/** The log, of one device or one card, or whole. */
export function logPath(of: { readonly device?: string; readonly uid?: string } = {}): string {
  const query = new URLSearchParams(Object.entries(of)).toString();
  return query === '' ? '/devices/log' : `/devices/log?${query}`;
}
