/** A name for a calendar that nobody guesses: 128 random bits. */
export function newCalendarToken(): string {
  return Array.from(crypto.getRandomValues(new Uint8Array(16)), (byte) =>
    byte.toString(16).padStart(2, '0'),
  ).join('');
}

/** The address at which a calendar program finds the calendar. */
export function calendarAddress(token: string): string {
  return `${window.location.origin}/calendar/${token}.ics`;
}

/**
 * Gives a calendar to the hub.
 *
 * @param pairing - the token of this browser's pairing
 * @throws Error with what the hub says, or that it can't be reached
 */
export async function putCalendar(token: string, text: string, pairing: string): Promise<void> {
  const headers = { 'Content-Type': 'text/calendar', Authorization: `Bearer ${pairing}` };
  const response = await fetch(`/api/calendar/${token}`, { method: 'PUT', headers, body: text }).catch(() => {
    throw new Error('the hub can’t be reached');
  });
  if (!response.ok) throw new Error(`the hub answered ${response.status}`);
}

/** Takes a calendar away from the hub. */
export async function removeCalendar(token: string): Promise<void> {
  await fetch(`/api/calendar/${token}`, { method: 'DELETE' }).catch(() => undefined);
}
