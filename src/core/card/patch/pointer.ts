/** RFC 6901: the path as a JSON Pointer; as in a PatchObject (RFC 9553 §1.4.3) without the slash at its head. */
export function formatPointer(path: readonly string[]): string {
  return path.map((key) => key.replaceAll('~', '~0').replaceAll('/', '~1')).join('/');
}

/** The path that a JSON Pointer names, with or without the slash at its head. */
export function parsePointer(pointer: string): string[] {
  return pointer
    .replace(/^\//, '')
    .split('/')
    .map((key) => key.replaceAll('~1', '/').replaceAll('~0', '~'));
}
