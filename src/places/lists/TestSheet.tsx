import { useState } from 'react';
import { View } from 'react-native';

import { useMatching } from '@/book/lists';
import { selectLists, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import {
  DAY_KINDS,
  DAY_WORDS,
  type DayKind,
  type DocKind,
  type Field as FieldName,
  FIELD_WORDS,
  FIELDS,
  formatRule,
  NEAR_KM,
  TALK_WAYS,
  TALK_WORDS,
  type Test,
} from '@/core/find';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/lists/lists';
import { Choice, Field, NextAct, Sheet, Switch, Txt } from '@/ui';

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

interface ValuePartProps {
  readonly test: Test;
  readonly lists: readonly (readonly [string, string])[];
  readonly onChange: (test: Test) => void;
}

/** What has to be true. */
function ValuePart({ test, lists, onChange }: ValuePartProps) {
  switch (test.kind) {
    case 'words':
    case 'filled': {
      const { field } = test;
      const isDay = DAY_KINDS.some((day) => day === field);
      if (isDay) return <Txt>{texts.isKnown(DAY_WORDS[field as DayKind])}</Txt>;
      return (
        <View className="gap-3">
          {field === 'any' ? null : (
            <Choice
              name={texts.whatHasToBe}
              options={[
                ['words', texts.hasWordsThatBegin(FIELD_WORDS[field as FieldName])],
                ['filled', texts.thereIs(FIELD_WORDS[field as FieldName])],
              ]}
              value={test.kind}
              onChange={(kind) =>
                onChange(
                  kind === 'filled'
                    ? { kind, field: field as FieldName }
                    : { kind, field: field as FieldName, value: '' },
                )
              }
            />
          )}
          {test.kind === 'words' ? (
            <Field
              label={texts.words}
              value={test.value}
              onChange={(value) => onChange({ ...test, value })}
              testID="test-value"
            />
          ) : null}
        </View>
      );
    }
    case 'card':
      return (
        <Choice
          name={texts.whatKindOfCard}
          options={[
            ['person', texts.person],
            ['organisation', texts.organisation],
          ]}
          value={test.card}
          onChange={(card: DocKind) => onChange({ ...test, card })}
        />
      );
    case 'list':
      return (
        <Choice
          name={texts.whichList}
          options={lists}
          value={test.list}
          onChange={(list) => onChange({ ...test, list })}
        />
      );
    case 'flag':
      return <Txt>{texts.cardIs(test.flag)}</Txt>;
    case 'near':
      return <Near test={test} onChange={onChange} />;
    case 'talk':
      return (
        <View className="gap-3">
          <Choice
            name={texts.how}
            options={TALK_WAYS.map((way) => [way, TALK_WORDS[way]] as const)}
            value={test.how}
            onChange={(how) => onChange({ ...test, how })}
          />
          <Days
            test={{ days: test.days === 'year' ? 365 : test.days }}
            onDays={(days) => onChange({ ...test, days })}
          />
        </View>
      );
    case 'close':
      return (
        <Field
          label={texts.closenessFrom1To100}
          value={String(test.from)}
          onChange={(text) =>
            onChange({ ...test, from: Math.max(1, Math.min(100, Number(text.replace(/\D/g, '')) || 1)) })
          }
          kind="tel"
          testID="test-close"
        />
      );
    case 'since':
      return <Days test={test} onDays={(days) => onChange({ ...test, days })} />;
    case 'coming':
      return <Days test={test} onDays={(days) => onChange({ ...test, days: Math.min(366, days) })} />;
  }
}

/** A place and how far from it. */
function Near({
  test,
  onChange,
}: {
  readonly test: Extract<Test, { kind: 'near' }>;
  readonly onChange: (test: Test) => void;
}) {
  return (
    <View className="gap-3">
      <Field
        label={texts.townOrSomebodyWhoLives}
        value={test.place}
        onChange={(place) => onChange({ ...test, place })}
        testID="test-place"
      />
      <Field
        label={texts.withinHowManyKilometres}
        value={String(test.km)}
        onChange={(text) => onChange({ ...test, km: kmOf(text) })}
        kind="tel"
        testID="test-km"
      />
    </View>
  );
}

/** Nothing is farther than half of the Earth's circumference. */
function kmOf(text: string): number {
  return Math.max(1, Math.min(20_000, Number(text.replace(/\D/g, '')) || 1));
}

function Days({
  test,
  onDays,
}: {
  readonly test: { readonly days: number };
  readonly onDays: (days: number) => void;
}) {
  return (
    <Field
      label={texts.withinHowManyDays}
      value={String(test.days)}
      onChange={(text) => onDays(Math.min(36_500, Number(text.replace(/\D/g, '')) || 0))}
      kind="tel"
      testID="test-days"
    />
  );
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
      return test.kind;
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
