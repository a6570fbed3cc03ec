/** The address of a device's passport. */
export function devicePath(name: string): string {
  return `/devices/${encodeURIComponent(name)}`;
}
