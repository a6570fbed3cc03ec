import { useEffect, useState } from 'react';

/** What is loaded only when it is needed; undefined until it has been. @param load - the same one at each drawing */
export function useLoaded<T extends object>(load: () => Promise<T>): T | undefined {
  const [loaded, setLoaded] = useState<T>();
  useEffect(() => {
    void load().then(setLoaded);
  }, [load]);
  return loaded;
}
