import { View } from 'react-native';

import {
  DAY_KINDS,
  DAY_WORDS,
  type DayKind,
  type DocKind,
  type Field as FieldName,
  FIELD_WORDS,
  MONTH_WORDS,
  TALK_WAYS,
  TALK_WORDS,
  type Test,
} from '@/core/find';
import { texts } from '@/texts/lists/lists';
import { Choice, Field, Txt } from '@/ui';

interface ValuePartProps {
  readonly test: Test;
  readonly lists: readonly (readonly [string, string])[];
  readonly onChange: (test: Test) => void;
}

/** What has to be true. */
export function ValuePart({ test, lists, onChange }: ValuePartProps) {
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
            test={{ days: typeof test.days === 'number' ? test.days : 365 }}
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
    case 'turning':
      return (
        <Years
          label={texts.whichAge}
          value={test.age}
          onChange={(age) => onChange({ ...test, age: age ?? 0 })}
        />
      );
    case 'born':
    case 'age':
      return (
        <View className="gap-3">
          <Years
            label={texts.from}
            value={test.from}
            onChange={(from) => onChange(withSpan(test, from, test.to))}
          />
          <Years
            label={texts.to}
            value={test.to}
            onChange={(to) => onChange(withSpan(test, test.from, to))}
          />
        </View>
      );
    case 'month':
      return (
        <Choice
          name={texts.month}
          options={MONTH_WORDS.map((word, i) => [String(i + 1), word] as const)}
          value={String(test.month)}
          onChange={(month) => onChange({ ...test, month: Number(month) })}
        />
      );
    case 'due':
      return <Days test={{ days: Math.max(0, test.days) }} onDays={(days) => onChange({ ...test, days })} />;
  }
}

/** A span of years with other ends. */
function withSpan(
  { kind, not }: Extract<Test, { kind: 'born' | 'age' }>,
  from: number | undefined,
  to: number | undefined,
): Test {
  return {
    kind,
    ...(from === undefined ? {} : { from }),
    ...(to === undefined ? {} : { to }),
    ...(not === undefined ? {} : { not }),
  };
}

/** A figure of years; empty for none. */
function Years({
  label,
  value,
  onChange,
}: {
  readonly label: string;
  readonly value: number | undefined;
  readonly onChange: (value: number | undefined) => void;
}) {
  return (
    <Field
      label={label}
      value={value === undefined ? '' : String(value)}
      onChange={(text) => {
        const digits = text.replace(/\D/g, '').slice(0, 4);
        onChange(digits === '' ? undefined : Number(digits));
      }}
      kind="tel"
      testID="test-years"
    />
  );
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
