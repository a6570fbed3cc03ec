/** What a stored text holds; undefined where there is none, or it is damaged. */
export function parseJson(text: string | null | undefined): unknown {
  if (text === null || text === undefined || text === '') return undefined;
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
