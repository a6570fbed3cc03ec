/** Any value that JSON can hold (RFC 8259). */
export type Json = string | number | boolean | null | Json[] | { [key: string]: Json };

/** A JSON object, the shape of everything with named parts. */
export type JsonObject = Record<string, unknown>;

/** Whether a value is an object with named parts: no array, no null. */
export function isObject(value: unknown): value is JsonObject {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/** An object's own property; undefined for what it merely inherits, such as `constructor`. */
export function ownProperty<T>(object: Readonly<Record<string, T>>, key: string): T | undefined {
  return Object.hasOwn(object, key) ? object[key] : undefined;
}

/** Whether two JSON values say the same. The order of keys does not count; undefined properties count as missing. */
export function isSameJson(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (Array.isArray(a)) {
    return Array.isArray(b) && a.length === b.length && a.every((item, i) => isSameJson(item, b[i]));
  }
  if (!isObject(a) || !isObject(b)) return false;
  const keys = Object.keys(a).filter((key) => a[key] !== undefined);
  const size = Object.keys(b).filter((key) => b[key] !== undefined).length;
  return keys.length === size && keys.every((key) => isSameJson(a[key], ownProperty(b, key)));
}
