/** This moment as a UTCDateTime (RFC 9553 §1.4.5), whole seconds. */
export function utcNow(): string {
  return `${new Date().toISOString().slice(0, 19)}Z`;
}

/** This moment in milliseconds since 1970. */
export function nowMs(): number {
  return Date.now();
}

/** Calls after some milliseconds, unless the program has ended by then. */
export function later(call: () => void, ms: number): ReturnType<typeof setTimeout> {
  const timer: unknown = setTimeout(call, ms);
  // Node waits for its timers; a browser has numbers that nothing can be asked of.
  if (typeof timer === 'object' && timer !== null && 'unref' in timer) (timer as NodeJS.Timeout).unref();
  return timer as ReturnType<typeof setTimeout>;
}

/** Resolves after some milliseconds. */
export function pause(ms: number): Promise<void> {
  return new Promise((resolve) => later(resolve, ms));
}

/** A uid that no card has: urn:uuid of version 4 (RFC 9562). */
export function newUid(): string {
  return `urn:uuid:${crypto.randomUUID()}`;
}

/** The day it is where the user is, as an ISO 8601 calendar date. */
export function localDay(atMs = Date.now()): string {
  return localMoment(atMs).day;
}

/** The time it is where the user is, as HH:MM. */
export function localTime(): string {
  return localMoment(Date.now()).time;
}

/** A moment as the user's clock shows it: the day, and the time as HH:MM. @param ms - milliseconds since 1970 */
export function localMoment(ms: number): { readonly day: string; readonly time: string } {
  const at = new Date(ms);
  const two = (value: number) => String(value).padStart(2, '0');
  const day = `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return { day, time: `${two(at.getHours())}:${two(at.getMinutes())}` };
}

/** A day and HH:MM where the user is, as a UTCDateTime. */
export function utcOf(day: string, time: string): string {
  return `${new Date(`${day}T${time}:00`).toISOString().slice(0, 19)}Z`;
}

/** The time it is now in a zone of the IANA database, as "14:05"; undefined for a zone that isn't known. */
export function timeIn(timeZone: string): string | undefined {
  if (timeZone === '') return undefined;
  try {
    return new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(
      new Date(),
    );
  } catch {
    return undefined;
  }
}
