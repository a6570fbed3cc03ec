import { View } from 'react-native';

import { selectRowsByUid, useAppDispatch, useAppSelector } from '@/book/state';
import { dismissFaults, fixFaults } from '@/book/tidy';
import { type Fault, FAULT_CODES, type FaultCode } from '@/core/tidy';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Txt, Wrench } from '@/ui';

import { KindPart } from './KindPart';

/** Faults of a kind that are shown at once. */
const SHOWN = 6;

/** What each kind is called. */
const TITLES: Readonly<Record<FaultCode, string>> = {
  undialable: 'Numbers that can’t be dialled',
  'bad-mail': 'Mail addresses that no mail reaches',
  'no-country-code': 'Numbers without a country code',
  'impossible-date': 'Days that can’t be right',
  capitals: 'Names in capitals or small letters only',
  'title-in-name': 'Titles among the given names',
  twice: 'The same value twice on a card',
  'spelt-differently': 'Organisations written in several ways',
  empty: 'Empty cards',
  unreachable: 'No way to reach them',
};

/** What is wrong or missing on cards, kind by kind; what is certain is mended with one press. */
export function FaultsPart({ faults }: { readonly faults: readonly Fault[] }) {
  if (faults.length === 0) return null;
  return (
    <View testID="faults">
      <Txt font="serif" size="title" heading={2}>
        Gaps and faults
      </Txt>
      {FAULT_CODES.map((code) => (
        <FaultsOf key={code} code={code} faults={faults.filter((fault) => fault.code === code)} />
      ))}
    </View>
  );
}

function FaultsOf({ code, faults }: { readonly code: FaultCode; readonly faults: readonly Fault[] }) {
  const dispatch = useAppDispatch();
  const sure = faults.filter(({ mend }) => mend?.isSure);
  const title = TITLES[code];
  return (
    <KindPart
      title={title}
      items={faults}
      shownAtFirst={SHOWN}
      step={50}
      rowOf={(fault) => <FaultRow key={`${fault.uid} ${fault.path.join(' ')}`} fault={fault} />}
      act={
        sure.length > 1 ? (
          <Act
            label={
              sure.length === faults.length ? `Fix all ${sure.length}` : `Fix ${sure.length} that are certain`
            }
            name={`${title}: mend ${sure.length}`}
            icon={Wrench}
            onPress={() => void dispatch(fixFaults(sure))}
            testID={`mend-all-${code}`}
          />
        ) : null
      }
      testID={`faults-${code}`}
    />
  );
}

function FaultRow({ fault }: { readonly fault: Fault }) {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => selectRowsByUid(state).get(fault.uid)?.shown) || 'No name yet';
  const { mend, shown, says } = fault;
  const isCard = fault.path.length === 0;
  const become = mend?.edits && mend.shown !== shown ? `: ${mend.shown}` : '';
  return (
    <View className="border-b border-rule py-1" testID="fault">
      <Txt font="serif" size="strong">
        {name}
      </Txt>
      <Txt size="small" tone="faded" isFigures>
        {isCard ? says : `${shown} ${says}`}
      </Txt>
      <View className="flex-row flex-wrap gap-x-5">
        {mend ? (
          <Act
            label={mend.edits ? `${mend.isSure ? 'Fix' : 'Perhaps'}${become}` : 'Delete the card'}
            name={`${mend.edits ? 'Fix' : 'Delete'} ${name}${become}`}
            icon={Wrench}
            onPress={() => void dispatch(fixFaults([fault]))}
            testID="mend"
          />
        ) : null}
        <Act
          label="It’s correct"
          name={`${isCard ? name : shown} is right as it is`}
          tone="faded"
          onPress={() => void dispatch(dismissFaults([fault]))}
          testID="leave-fault"
        />
        <Act
          label="Edit"
          name={`Edit ${name}`}
          tone="faded"
          onPress={() => go(`${cardPath(fault.uid)}/edit`)}
        />
      </View>
    </View>
  );
}
