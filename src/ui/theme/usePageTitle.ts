import { useEffect } from 'react';

/** Names the page in the browser's tab and history: "Ada Lowther · Cordialis". */
export function usePageTitle(title: string): void {
  useEffect(() => {
    document.title = `${title} · Cordialis`;
  }, [title]);
}
