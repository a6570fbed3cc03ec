import { usePathname } from 'expo-router';
import { lazy, type ReactNode, Suspense, useEffect } from 'react';
import { View } from 'react-native';
import { Provider } from 'react-redux';

import { getBook } from '@/book/startBook';
import {
  selectOpenFault,
  selectReading,
  selectSettings,
  ServicesProvider,
  useAppSelector,
} from '@/book/state';
import { isInPlace, PLACES, QuickLine, type QuickPlans, QuickPlansContext } from '@/places/find';
import { allowSingleKeys, bookName, PAGE_ID, removeSketch, storedPanes, storePane } from '@/platform';
import { closeByBack } from '@/platform/navigation';
import { texts } from '@/texts/frame/frame';
import {
  BackContext,
  EmptyPlace,
  PaneContext,
  type PaneWidths,
  Settings2,
  ThemeProvider,
  Txt,
  useWide,
  WithStandIn,
} from '@/ui';

import { FaultCatcher } from './FaultCatcher';
import { NavLink } from './NavLink';
import { Notices } from './Notices';
import { SaveState } from './SaveState';
import { Sketch } from './Sketch';
import { SkipLink } from './SkipLink';
import { StandingBars } from './StandingBars';
import { usePageFocus } from './usePageFocus';
import { usePageKeys } from './usePageKeys';
import { usePageState } from './usePageState';

/** Loaded once the book has been read. */
const Housekeeping = lazy(() => import('./Housekeeping').then((one) => ({ default: one.Housekeeping })));
const KeysSheet = lazy(() => import('./seldom').then((seldom) => ({ default: seldom.KeysSheet })));

const PANES: PaneWidths = {
  widthOf: (name) => storedPanes()[name],
  keep: storePane,
  standIn: <Sketch />,
};

interface FrameProps {
  readonly children: ReactNode;
  /** Loads what plans the acts of the quick line. */
  readonly loadPlans: () => Promise<QuickPlans>;
}

/** What is around every screen: the state, the theme, the way to the five places, the quick line, messages. */
export function Frame({ children, loadPlans }: FrameProps) {
  const { store, services } = getBook(bookName());
  return (
    <Provider store={store}>
      <ServicesProvider value={services}>
        <QuickPlansContext value={loadPlans}>
          <BackContext value={closeByBack}>
            <PaneContext value={PANES}>
              <Themed>{children}</Themed>
            </PaneContext>
          </BackContext>
        </QuickPlansContext>
      </ServicesProvider>
    </Provider>
  );
}

function Themed({ children }: { readonly children: ReactNode }) {
  const { scheme, typeScale, singleKeys } = useAppSelector(selectSettings);
  useEffect(() => allowSingleKeys(singleKeys), [singleKeys]);
  useEffect(removeSketch, []);
  const { isWide } = useWide();
  const isRead = useAppSelector(selectReading) === undefined;
  const fault = useAppSelector(selectOpenFault);
  const { isHelpOpen, closeHelp } = usePageKeys();
  usePageState();
  usePageFocus();
  const content =
    fault === undefined ? (
      children
    ) : (
      <EmptyPlace title={texts.bookCouldNotBeOpened} text={texts.nothingWasChanged(fault)} />
    );
  return (
    <ThemeProvider scheme={scheme} typeScale={typeScale}>
      <Suspense fallback={null}>{isRead ? <Housekeeping /> : null}</Suspense>
      <SkipLink />
      {isWide ? <Wide>{content}</Wide> : <Phone>{content}</Phone>}
      <Suspense fallback={null}>{isHelpOpen ? <KeysSheet isOpen onClose={closeHelp} /> : null}</Suspense>
    </ThemeProvider>
  );
}

function Wide({ children }: { readonly children: ReactNode }) {
  const pathname = usePathname();
  return (
    <View className="flex-1 flex-row bg-paper">
      <View role="navigation" aria-label={texts.places} className="w-[148px] border-r border-rule pb-4 pt-4">
        <View className="px-[18px] pb-4">
          <Txt font="serifItalic" size="title" tone="berry">
            {texts.cordialis}
          </Txt>
        </View>
        {PLACES.map((place) => (
          <NavLink key={place.path} {...place} isHere={isInPlace(pathname, place.path)} look="rail" />
        ))}
        <View className="flex-1" />
        <NavLink
          path="/settings"
          label={texts.settings}
          icon={Settings2}
          isHere={isInPlace(pathname, '/settings')}
          look="rail"
        />
        <View className="px-[18px] pt-3">
          <SaveState />
        </View>
      </View>
      <View className="min-w-0 flex-1">
        <QuickLine />
        <Page>{children}</Page>
        <StandingBars />
        <Notices />
      </View>
    </View>
  );
}

/** The page itself, and what stands in for it while it is loaded. */
function Page({ children }: { readonly children: ReactNode }) {
  const pathname = usePathname();
  return (
    <View role="main" nativeID={PAGE_ID} tabIndex={-1} className="min-h-0 flex-1">
      <WithStandIn>
        <FaultCatcher address={pathname}>{children}</FaultCatcher>
      </WithStandIn>
    </View>
  );
}

/** Where a card is written: on a phone there is nothing then but the form, the keyboard and what saves it. */
const WRITING = /^\/book\/(new|[^/]+\/edit)\/?$/;

function Phone({ children }: { readonly children: ReactNode }) {
  const pathname = usePathname();
  const isWriting = WRITING.test(pathname);
  return (
    <View className="flex-1 bg-paper">
      <Page>{children}</Page>
      <StandingBars />
      <Notices />
      {isWriting ? null : (
        <>
          <QuickLine />
          <View role="navigation" aria-label={texts.places} className="flex-row border-t border-rule">
            {PLACES.map((place) => (
              <NavLink key={place.path} {...place} isHere={isInPlace(pathname, place.path)} look="bar" />
            ))}
          </View>
        </>
      )}
    </View>
  );
}
