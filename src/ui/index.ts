/**
 * The design system: colours, type, shapes, the parts that screens are made of.
 * Standard: WCAG 2.2 AA, WAI-ARIA.
 * Left out: cards and the store, of which it knows nothing.
 */
export { Act, NextAct } from './parts/Act';
export { EmptyPlace } from './parts/EmptyPlace';
export { Field } from './parts/Field';
export { linkProps } from './parts/linkProps';
export { ListRow } from './parts/ListRow';
export { NoticeBar } from './parts/NoticeBar';
export { ProgressLine } from './parts/ProgressLine';
export { Sheet } from './parts/Sheet';
export { Stamp } from './parts/Stamp';
export { Tabs } from './parts/Tabs';
export { ThumbIndex } from './parts/ThumbIndex';
export { Txt } from './parts/Txt';
export { type Colours, ThemeProvider, useColours } from './theme/ThemeProvider';
export { useWide } from './theme/useWide';
