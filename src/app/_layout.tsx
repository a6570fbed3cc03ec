import '../ui/theme/global.css';

import { Slot } from 'expo-router';

import { loadCardWork } from '@/places/card/lazy';
import { Frame } from '@/places/frame/Frame';

export default function Layout() {
  return (
    <Frame loadPlans={loadCardWork}>
      <Slot />
    </Frame>
  );
}
