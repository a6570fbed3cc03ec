/**
 * The design system: colours, type, shapes, the parts that screens are made of.
 * Standard: WCAG 2.2 AA, WAI-ARIA.
 * Left out: cards and the store, of which it knows nothing.
 */
export { Chart } from './chart/Chart';
export { type ChartData } from './chart/chartData';
export { Code } from './code/Code';
export * from './icons';
export { Act, NextAct } from './parts/Act';
export { Choice } from './parts/Choice';
export { Coming } from './parts/Coming';
export { EmptyPlace } from './parts/EmptyPlace';
export { EvidenceBars } from './parts/EvidenceBars';
export { Field } from './parts/Field';
export { LabelledRow } from './parts/LabelledRow';
export { LinkAct } from './parts/LinkAct';
export { linkProps, outsideLinkProps } from './parts/linkProps';
export { ListRow } from './parts/ListRow';
export { ListStamp } from './parts/ListStamp';
export { NameLink } from './parts/NameLink';
export { NoticeBar } from './parts/NoticeBar';
export { type FieldOffer, OfferField } from './parts/OfferField';
export { OfferLine } from './parts/OfferLine';
export { OrderedChoice } from './parts/OrderedChoice';
export { OverPage } from './parts/OverPage';
export { PageBar } from './parts/PageBar';
export { Panes, StackedPanes } from './parts/Panes';
export { isForm } from './parts/pressNext';
export { ProgressLine } from './parts/ProgressLine';
export { Sheet } from './parts/Sheet';
export { Stamp } from './parts/Stamp';
export { Switch } from './parts/Switch';
export { Tabs } from './parts/Tabs';
export { TextLink } from './parts/TextLink';
export { Thread } from './parts/Thread';
export { ThumbIndex } from './parts/ThumbIndex';
export { Tick } from './parts/Tick';
export { TitledPart } from './parts/TitledPart';
export { ToneMark } from './parts/ToneMark';
export { Txt } from './parts/Txt';
export { WithStandIn } from './parts/WithStandIn';
export { BackContext } from './theme/backContext';
export { PaneContext, type PaneWidths } from './theme/paneContext';
export { type Colours, ThemeProvider, useColours, useTypeScale } from './theme/ThemeProvider';
export { TONE_NAMES } from './theme/tones';
export { usePageTitle } from './theme/usePageTitle';
export { useWide } from './theme/useWide';
export { useEnter } from './useEnter';
export { useLoaded } from './useLoaded';
export { useSteady } from './useSteady';
export { useSwipe } from './useSwipe';
