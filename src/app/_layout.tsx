import '../ui/theme/global.css';

import { Slot } from 'expo-router';

import { loadCardWork } from '@/places/card';
import { Frame } from '@/places/frame';

export default function Layout() {
  return (
    <Frame loadPlans={loadCardWork}>
      <Slot />
    </Frame>
  );
}
