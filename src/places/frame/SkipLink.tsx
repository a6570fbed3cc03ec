import { Pressable } from 'react-native';

import { focusPage, PAGE_ID } from '@/platform';
import { texts } from '@/texts/frame/frame';
import { linkProps, Txt } from '@/ui';

/** The first thing that the Tab key comes to: past the places and the quick line to the page (WCAG 2.2, 2.4.1). */
export function SkipLink() {
  return (
    <Pressable
      role="link"
      aria-label={texts.skipToPage}
      {...linkProps(`#${PAGE_ID}`, focusPage)}
      className="absolute -top-20 left-2 z-10 min-h-[44px] justify-center border border-rule bg-paper px-4 focus:top-2"
      testID="skip-link"
    >
      <Txt font="sansBold" tone="berry">
        {texts.skipToPage}
      </Txt>
    </Pressable>
  );
}
