import { texts } from '@/texts/find/line';

import { formatRule } from '../rules/formatRule';
import type { LineAct, LineValue, Reading } from './reading';

const PLAIN: Readonly<Partial<Record<LineAct, (who: string) => string>>> = {
  ...{ call: texts.call, message: texts.message, way: texts.wayTo, edit: texts.edit, open: texts.open },
  ...{ pin: texts.pin, unpin: texts.unpin, archive: texts.archive, restore: texts.restore },
  ...{ private: texts.makePrivate, public: texts.makePublic, merge: texts.merge },
};

/** What a reading would do, in words, before it is done. @param nameOf - what a card or a list is called */
export function describeReading(reading: Reading, nameOf: (uid: string) => string): string {
  const { need, act, uids, values, rule, order, place = '' } = reading;
  const who = joined(uids.map(nameOf));
  const value = (field: string) => values.find((one) => one.field === field)?.value;
  switch (need) {
    case 'do':
      return act === undefined ? '' : describeAct(act, { who, count: uids.length }, value, nameOf);
    case 'show':
      return texts.show(fieldInWords(values[0]?.field ?? ''), who);
    case 'fill':
      return texts.fill(who, values.map((one) => describeValue(one, nameOf)).join(', '));
    case 'new': {
      const [first] = values;
      if (first?.field === 'list') return texts.newList(first.value);
      if (first?.field === 'organisation') return texts.newOrganisation(first.value);
      return texts.newCard(
        values.map((one) => (one.field === 'name' ? one.value : describeValue(one, nameOf))).join(', '),
      );
    }
    case 'go':
      return texts.go(place);
    case 'find': {
      const limits = rule ? formatRule(rule, nameOf) : '';
      const ordered =
        order === undefined ? '' : order === 'closeness' ? texts.closestFirst : texts.byLastTalk;
      return texts.find([limits, ordered].filter(Boolean).join(', '));
    }
    case 'none':
      return '';
  }
}

/** "mail:work" as "work mail", "lastTalk" as "last talk". */
function fieldInWords(field: string): string {
  const [plain = '', kind] = field.split(':');
  const word = plain === 'lastTalk' ? texts.lastTalk : plain;
  return kind === undefined ? word : `${kind} ${word}`;
}

function describeAct(
  act: LineAct,
  { who, count }: { readonly who: string; readonly count: number },
  value: (field: string) => string | undefined,
  nameOf: (uid: string) => string,
): string {
  const plain = PLAIN[act];
  if (plain) return plain(who);
  const day = value('day') ?? '';
  const text = value('text');
  const [subject, what] = [value('subject'), value('what')];
  if (act === 'write') return subject === undefined ? texts.writeTo(who) : texts.writeAbout(who, subject);
  if (act === 'print') return what === undefined ? texts.print(who) : texts.printWhat(what, who);
  if (act === 'export') {
    const format = value('as');
    return format === undefined ? texts.exportWho(who) : texts.exportAs(who, texts.formats[format] ?? format);
  }
  if (act === 'send') return texts.sendTo(who, nameOf(value('to') ?? ''), count);
  if (act === 'remind') return text === undefined ? texts.remind(who, day) : texts.remindTo(text, who, day);
  if (act === 'meet') {
    const [time, place] = [value('time'), value('place')];
    const when = [
      day,
      time === undefined ? '' : texts.at(time),
      place === undefined ? '' : texts.inPlace(place),
    ];
    return texts.meet(who, when.filter(Boolean).join(' '));
  }
  if (act === 'talk') {
    const next = value('next');
    const said = [value('kind'), day, text, next === undefined ? '' : texts.again(next)].filter(Boolean);
    return said.length === 0 ? texts.talk(who) : texts.noted(who, said.join(', '));
  }
  const field = ['number', 'mail', 'address', 'web'].find((one) => value(one) !== undefined);
  return field === undefined ? texts.copy(who) : texts.copyOf(field, who);
}

/** A value in words: "tag choir", "on Patrons", "mail work ada@example.org". */
export function describeValue({ field, value }: LineValue, nameOf: (uid: string) => string): string {
  if (field === 'list') return texts.onList(nameOf(value));
  if (field === '-list') return texts.offList(nameOf(value));
  if (field === 'tag') return texts.tag(value);
  if (field === '-tag') return texts.noTag(value);
  return `${field.replace(':', ' ')} ${value}`;
}

function joined(names: readonly string[]): string {
  return names.length < 2
    ? (names[0] ?? '')
    : `${names.slice(0, -1).join(', ')}${texts.and}${names.at(-1) ?? ''}`;
}
