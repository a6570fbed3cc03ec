import '../ui/theme/global.css';

import { Slot } from 'expo-router';

import { Frame } from '@/places/frame/Frame';

export default function Layout() {
  return (
    <Frame>
      <Slot />
    </Frame>
  );
}
