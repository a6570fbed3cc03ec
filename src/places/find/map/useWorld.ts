import { useEffect, useState } from 'react';
import coarse from 'world-atlas/countries-110m.json';

import { drawWorld, type WorldPaths } from './projection';

/** From this size on the finer coast is worth its bytes. */
const FINE_FROM = 4;

const coarseWorld = drawWorld(coarse);
let fineWorld: WorldPaths | undefined;

/** The coast and the borders, finer once the map is large enough to show it. */
export function useWorld(scale: number): WorldPaths {
  const [fine, setFine] = useState(fineWorld);
  const wantsFine = scale >= FINE_FROM;
  useEffect(() => {
    if (!wantsFine || fineWorld) return;
    // Without it the coarse one stays, which is not worth reporting.
    void import('world-atlas/countries-50m.json')
      .then(({ default: world }) => {
        fineWorld = drawWorld(world);
        setFine(fineWorld);
      })
      .catch(() => undefined);
  }, [wantsFine]);
  return wantsFine && fine ? fine : coarseWorld;
}
