const OF_THE_WEB = /^(https?|ftp):\/\/([^/?#]*)(.*)$/is;
const PORTS: Readonly<Record<string, string>> = { http: ':80', https: ':443', ftp: ':21' };

/**
 * An address of the web in the form by which two are the same (RFC 3986 §6.2.2 and 6.2.3): scheme and host in lower case, without the port
 * that goes without saying and the slash at the end; http as https, and so is what has no scheme (common practice). The path stays as it
 * is, capitals too. Other URIs stay as they are.
 */
export function normalizeUri(uri: string): string {
  const plain = uri.trim();
  const full = /^[\w-]+(\.[\w-]+)+(\/|$)/.test(plain) ? `https://${plain}` : plain;
  const [, scheme = '', host = '', path = ''] = OF_THE_WEB.exec(full) ?? [];
  if (host === '') return plain;
  const name = scheme.toLowerCase();
  const port = PORTS[name] ?? '';
  const place = host.toLowerCase().replace(/:$/, '');
  const bare = place.endsWith(port) ? place.slice(0, place.length - port.length) : place;
  return `${name === 'http' ? 'https' : name}://${bare}${path.replace(/\/$/, '')}`;
}
