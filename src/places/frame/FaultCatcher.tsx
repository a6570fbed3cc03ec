import { Component, type ReactNode } from 'react';
import { View } from 'react-native';

import { reloadPage } from '@/platform';
import { texts } from '@/texts/frame/frame';
import { Act, EmptyPlace } from '@/ui';

interface FaultCatcherProps {
  /** Another address is another page, and may be drawn. */
  readonly address: string;
  readonly children: ReactNode;
}

interface FaultCatcherState {
  readonly message: string | undefined;
}

/** A page that fails to be drawn leaves the frame standing, says so, and can be read again. React asks for a class. */
export class FaultCatcher extends Component<FaultCatcherProps, FaultCatcherState> {
  override state: FaultCatcherState = { message: undefined };

  static getDerivedStateFromError(fault: unknown): FaultCatcherState {
    return { message: fault instanceof Error ? fault.message : String(fault) };
  }

  override componentDidUpdate(before: FaultCatcherProps) {
    if (before.address !== this.props.address) this.setState({ message: undefined });
  }

  override render() {
    const { message } = this.state;
    if (message === undefined) return this.props.children;
    return (
      <EmptyPlace title={texts.pageFailed} text={texts.bookIsUnharmed(message)}>
        <View className="flex-row">
          <Act label={texts.readPageAgain} onPress={reloadPage} />
        </View>
      </EmptyPlace>
    );
  }
}
