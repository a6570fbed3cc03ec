import * as Comlink from 'comlink';
import { useEffect, useState } from 'react';
import { Text } from 'react-native';
export default function Index() {
  const [t, setT] = useState('x');
  useEffect(() => {
    const w = new Worker(new URL('../book/workers/try', import.meta.url));
    const api = Comlink.wrap<{ hi(): string }>(w);
    void api.hi().then(setT);
  }, []);
  return <Text className="text-berry text-head font-serif">{t}</Text>;
}
