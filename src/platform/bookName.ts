/** Which book a page is for. */
export type BookName = 'cordialis' | 'cordialis-demo';

/** The hub says in the page whether it serves the demo; without a word it is the user's own book. */
export function bookName(): BookName {
  const meta = document.querySelector<HTMLMetaElement>('meta[name="cordialis-book"]');
  return meta?.content === 'demo' ? 'cordialis-demo' : 'cordialis';
}

/** The invented cards of the demo, from the hub. @throws Error where the hub doesn't answer */
export function fetchDemoCards(): Promise<unknown[]> {
  return fetchList('/api/demo/cards');
}

/** The invented talks of the demo, from the hub. @throws Error where the hub doesn't answer */
export function fetchDemoTalks(): Promise<unknown[]> {
  return fetchList('/api/demo/talks');
}

/** The simulated mailbox and calendar of the demo, as files. @throws Error where the hub doesn't answer */
export function fetchDemoMail(): Promise<File[]> {
  return Promise.all(
    ['mailbox.mbox', 'calendar.ics'].map(async (name) => {
      const response = await fetch(`/api/demo/${name}`);
      if (!response.ok) throw new Error(`the hub answered ${response.status}`);
      return new File([await response.blob()], name);
    }),
  );
}

/** The user's own address in the demo. */
export const DEMO_ADDRESS = 'director@wexmere-festival.example';

/** The colours that the demo's user has given to some tags. */
export const DEMO_TONES = { players: 6, patrons: 1, press: 3 };

async function fetchList(path: string): Promise<unknown[]> {
  const response = await fetch(path);
  if (!response.ok) throw new Error(`the hub answered ${response.status}`);
  const list: unknown = await response.json();
  return Array.isArray(list) ? list : [];
}
