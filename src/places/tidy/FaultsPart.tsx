import { View } from 'react-native';

import { selectRowsByUid, useAppDispatch, useAppSelector } from '@/book/state';
import { dismissFaults, fixFaults } from '@/book/tidy';
import { type Fault, FAULT_CODES, type FaultCode } from '@/core/tidy';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/tidy/tidy';
import { Act, Txt, Wrench } from '@/ui';

import { KindPart } from './KindPart';

/** Faults of a kind that are shown at once. */
const SHOWN = 6;

/** What each kind is called. */
const TITLES: Readonly<Record<FaultCode, string>> = {
  undialable: texts.numbersThatCantBeDialled,
  'bad-mail': texts.invalidMailAddresses,
  'no-country-code': texts.numbersWithoutCountryCode,
  'impossible-date': texts.daysThatCantBeRight,
  capitals: texts.namesInCapitalsOrSmall,
  'title-in-name': texts.titlesAmongGivenNames,
  twice: texts.sameValueTwiceOnCard,
  'spelt-differently': texts.organisationsWrittenInSeveral,
  empty: texts.emptyCards,
  unreachable: texts.noWayToReach,
};

/** What is wrong or missing on cards, kind by kind; what is certain is fixed with one press. */
export function FaultsPart({ faults }: { readonly faults: readonly Fault[] }) {
  if (faults.length === 0) return null;
  return (
    <View testID="faults">
      <Txt font="serif" size="title" heading={2}>
        {texts.gapsAndFaults}
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
              sure.length === faults.length ? texts.fixAll(sure.length) : texts.fixThatAreCertain(sure.length)
            }
            name={texts.fixCount(title, sure.length)}
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
  const name = useAppSelector((state) => selectRowsByUid(state).get(fault.uid)?.shown) || shared.noNameYet;
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
            label={mend.edits ? `${mend.isSure ? texts.fix : texts.perhaps}${become}` : texts.deleteCard}
            name={`${mend.edits ? texts.fix : texts.delete} ${name}${become}`}
            icon={Wrench}
            onPress={() => void dispatch(fixFaults([fault]))}
            testID="mend"
          />
        ) : null}
        <Act
          label={texts.itsCorrect}
          name={texts.isRightAsItIs(isCard ? name : shown)}
          tone="faded"
          onPress={() => void dispatch(dismissFaults([fault]))}
          testID="leave-fault"
        />
        <Act
          label={texts.edit}
          name={texts.editNamed(name)}
          tone="faded"
          onPress={() => go(`${cardPath(fault.uid)}/edit`)}
        />
      </View>
    </View>
  );
}
