/** Puts a text on the clipboard; false where the browser forbids it. */
export async function copyText(text: string): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text);
    return true;
  } catch {
    return false;
  }
}

/** Opens an address with whatever the device has for it: a call, a message, a map. */
export function openOutside(uri: string): void {
  const link = document.createElement('a');
  link.href = uri;
  if (/^https?:/i.test(uri)) Object.assign(link, { target: '_blank', rel: 'noopener noreferrer' });
  link.click();
}
