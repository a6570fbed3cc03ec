import { HubFault, type HubQuestion } from '@/platform';

/** Asks a hub as a page does. @param base - its address @throws HubFault */
export async function askOver(
  base: string,
  { method = 'GET', path, token, body }: HubQuestion,
): Promise<unknown> {
  const response = await fetch(`${base}/api${path}`, {
    method,
    headers: {
      ...(token === undefined ? {} : { Authorization: `Bearer ${token}` }),
      'Content-Type': 'application/json',
    },
    ...(body === undefined ? {} : { body: JSON.stringify(body) }),
  });
  if (!response.ok) throw new HubFault(await response.text(), response.status);
  return response.status === 204 ? undefined : response.json();
}
