import { lazy, Suspense } from 'react';
import { View } from 'react-native';

import type { CodeDrawingProps } from './CodeDrawing';

// The maker of codes is as large as a place; only sheets with a code need it.
const CodeDrawing = lazy(() => import('./CodeDrawing').then((module) => ({ default: module.CodeDrawing })));

interface CodeProps extends CodeDrawingProps {
  /** For screen readers: what it holds. */
  readonly name: string;
}

/** A code for scanners that holds a text (ISO/IEC 18004). */
export function Code({ name, ...drawing }: CodeProps) {
  return (
    <View role="img" aria-label={name} style={{ width: drawing.size, height: drawing.size }}>
      <Suspense fallback={null}>
        <CodeDrawing {...drawing} />
      </Suspense>
    </View>
  );
}
