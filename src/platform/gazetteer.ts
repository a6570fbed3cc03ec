/** The text of the gazetteer, from the hub. @throws Error where the hub can't be reached */
export async function fetchGazetteer(): Promise<string> {
  const response = await fetch('/api/places');
  if (!response.ok) throw new Error(`the hub answered ${response.status} for its gazetteer`);
  return response.text();
}
