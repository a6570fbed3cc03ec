import { useState } from 'react';
import { View } from 'react-native';

import { useMatching } from '@/book/lists';
import { selectLists, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import {
  DAY_KINDS,
  DAY_WORDS,
  type DayKind,
  type Field as FieldName,
  FIELD_WORDS,
  FIELDS,
  formatRule,
  NEAR_KM,
  type Test,
} from '@/core/find';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/lists/lists';
import { Choice, NextAct, Sheet, Switch, Txt } from '@/ui';

import { ValuePart } from './TestValue';

interface TestSheetProps {
  readonly test: Test;
  readonly listUid: string;
  readonly onDone: (test: Test) => void;
  readonly onClose: () => void;
}

/** What a condition is about, and what has to be true of it; with the count of cards it is true of. */
export function TestSheet({ test: first, listUid, onDone, onClose }: TestSheetProps) {
  const [test, setTest] = useState(first);
  const lists = useAppSelector(selectLists).filter(({ uid }) => uid !== listUid);
  const matching = useMatching(test);
  const isReady =
    (test.kind !== 'words' || test.value.trim() !== '') && (test.kind !== 'near' || test.place.trim() !== '');
  const nameOf = (uid: string) => lists.filter((list) => list.uid === uid).map(shownAs)[0];
  return (
    <Sheet title={texts.condition} isOpen onClose={onClose}>
      <View className="gap-4">
        <ValuePart
          test={test}
          lists={lists.map((list) => [list.uid, shownAs(list)] as const)}
          onChange={setTest}
        />
        <Switch
          label={texts.reverseIt}
          hint={texts.matchesEverybodyElse}
          isOn={test.not === true}
          onChange={(isOn) => setTest(turned(test, isOn))}
          testID="test-not"
        />
        <Txt tone="faded" testID="test-count">
          {isReady
            ? `${formatRule(test, nameOf)}: ${matching === undefined ? '…' : shared.cardCount(matching.length)}`
            : test.kind === 'near'
              ? texts.enterPlace
              : texts.enterWordToLook}
        </Txt>
        <NextAct
          label={texts.saveCondition}
          isDisabled={!isReady}
          onPress={() => onDone(test)}
          testID="keep-test"
        />
        <View>
          <Txt size="small" font="sansBold" tone="faded" heading={3}>
            {texts.whatItIsAbout}
          </Txt>
          <Choice
            name={texts.whatItIsAbout}
            options={aboutOptions(lists.length > 0)}
            value={aboutOf(test)}
            onChange={(about) => setTest(testAbout(about, test, lists[0]?.uid ?? ''))}
          />
        </View>
      </View>
    </Sheet>
  );
}

function turned(test: Test, isNot: boolean): Test {
  const { not: _, ...rest } = test;
  return isNot ? { ...rest, not: true } : rest;
}

/** What a condition can be about, as one word each: a field, or one of the others. */
function aboutOptions(hasLists: boolean): (readonly [string, string])[] {
  const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1);
  return [
    ['field any', texts.anythingOnCard],
    ...FIELDS.filter((field) => field !== 'list' && field !== 'relation').map(
      (field) => [`field ${field}`, capital(FIELD_WORDS[field])] as const,
    ),
    ['card', texts.personOrOrganisation],
    ...(hasLists ? [['list', texts.beingOnList] as const] : []),
    ...DAY_KINDS.filter((day) => day !== 'death').map(
      (day) => [`coming ${day}`, texts.soon(capital(DAY_WORDS[day]))] as const,
    ),
    ...DAY_KINDS.map((day) => [`filled ${day}`, texts.known(capital(DAY_WORDS[day]))] as const),
    ['near', texts.nearPlace],
    ['talk', texts.talkedToLately],
    ['close', texts.close],
    ['month birth', texts.birthdayInMonth],
    ['born', texts.bornBetween],
    ['age', texts.ageBetween],
    ['turning', texts.turningAge],
    ['due', texts.dueSoon],
    ['since added', texts.addedLately],
    ['since changed', texts.changedLately],
    ['flag pinned', texts.pinned],
    ['flag private', texts.private],
  ];
}

function aboutOf(test: Test): string {
  switch (test.kind) {
    case 'words':
      return `field ${test.field}`;
    case 'filled':
      return `${DAY_KINDS.some((day) => day === test.field) ? 'filled' : 'field'} ${test.field}`;
    case 'card':
    case 'list':
    case 'near':
    case 'talk':
    case 'close':
    case 'born':
    case 'age':
    case 'turning':
    case 'due':
      return test.kind;
    case 'month':
      return `month ${test.day}`;
    case 'flag':
      return `flag ${test.flag}`;
    case 'since':
      return `since ${test.what}`;
    case 'coming':
      return `coming ${test.day}`;
  }
}

/** A condition about something else; the words that were typed stay. */
function testAbout(about: string, before: Test, firstList: string): Test {
  const [kind = '', what = ''] = about.split(' ');
  switch (kind) {
    case 'card':
      return { kind: 'card', card: 'person' };
    case 'list':
      return { kind: 'list', list: firstList };
    case 'near':
      return { kind: 'near', place: '', km: NEAR_KM };
    case 'talk':
      return { kind: 'talk', how: 'any', days: 90 };
    case 'close':
      return { kind: 'close', from: 75 };
    case 'month':
      return { kind: 'month', day: 'birth', month: 1 };
    case 'born':
      return { kind: 'born', from: 1960, to: 1969 };
    case 'age':
      return { kind: 'age', from: 18 };
    case 'turning':
      return { kind: 'turning', age: 50 };
    case 'due':
      return { kind: 'due', days: 7 };
    case 'coming':
      return { kind: 'coming', day: what as DayKind, days: 14 };
    case 'filled':
      return { kind: 'filled', field: what as DayKind };
    case 'since':
      return { kind: 'since', what: what === 'added' ? 'added' : 'changed', days: 30 };
    case 'flag':
      return { kind: 'flag', flag: what === 'pinned' ? 'pinned' : 'private' };
    default:
      return {
        kind: 'words',
        field: what as FieldName | 'any',
        value: before.kind === 'words' ? before.value : '',
      };
  }
}
