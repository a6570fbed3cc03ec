import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { useWide } from '../theme/useWide';
import { PageBar } from './PageBar';
import { isForm } from './pressNext';
import { Txt } from './Txt';

interface OverPageProps {
  readonly title: string;
  /** The place that it lies over on a phone. */
  readonly backLabel: string;
  readonly onBack: () => void;
  /** How wide it gets, and the space between its parts. */
  readonly className: string;
  readonly children: ReactNode;
  readonly testID: string;
  /** Whether it is filled in for one act: Enter in a line does it. */
  readonly isFilledIn?: boolean;
}

/** A page that is read from top to bottom: its title, what is on it, and on a phone the way back. */
export function OverPage(props: OverPageProps) {
  const { title, backLabel, onBack, className, children, testID, isFilledIn = false } = props;
  const { isWide } = useWide();
  return (
    <View className="flex-1" testID={testID}>
      {isWide ? null : <PageBar backLabel={backLabel} onBack={onBack} />}
      <ScrollView keyboardShouldPersistTaps="handled">
        <View
          {...(isFilledIn ? isForm : {})}
          className={`${className} pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}
        >
          <Txt font="serif" size="head" heading={1}>
            {title}
          </Txt>
          {children}
        </View>
      </ScrollView>
    </View>
  );
}
