/** Schemes that open something without running it (a link of a card comes from anywhere). */
const OPENABLE = new Set([
  'http',
  'https',
  'mailto',
  'tel',
  'sms',
  'geo',
  'xmpp',
  'sip',
  'sips',
  'im',
  'matrix',
  'irc',
  'ircs',
  'webcal',
]);

/**
 * The URI where pressing it can only open something; undefined for other schemes (javascript:, data:, file:), for
 * text without one, and for what a browser would read as another scheme than is seen.
 */
export function safeUri(text: string): string | undefined {
  const uri = text.trim();
  // Browsers drop tabs and line breaks inside a URI: "java\nscript:" would run.

  if (/[\u0000-\u0020\u007f]/.test(uri)) return undefined;
  const scheme = /^([a-z][a-z0-9+.-]*):/i.exec(uri)?.[1]?.toLowerCase();
  return scheme !== undefined && OPENABLE.has(scheme) ? uri : undefined;
}
