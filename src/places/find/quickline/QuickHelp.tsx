import { Pressable, View } from 'react-native';

import { selectLists, selectOrder, selectRow, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import { Sheet, Txt } from '@/ui';

interface QuickHelpProps {
  readonly onClose: () => void;
  /** Puts an example into the line, where it can be tried. */
  readonly onTry: (text: string) => void;
}

/** All that the quick line understands, with examples from the user's own cards. */
export function QuickHelp({ onClose, onTry }: QuickHelpProps) {
  const uid = useAppSelector((state) => selectOrder(state)[0] ?? '');
  const name = useAppSelector((state) => selectRow(state, uid))?.shown ?? 'Ada Lowther';
  const list = useAppSelector(selectLists).map(shownAs)[0] ?? 'Patrons';
  const parts: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
    [
      'Find',
      [
        [
          name.slice(0, Math.max(3, name.indexOf(' ') + 3)),
          'first letters of names, towns, firms, notes; a letter may be wrong',
        ],
        [
          'in Leipzig without mail',
          'limits: in, at, on, tagged, with, without, people, organisations, archived, pinned',
        ],
        ['note: oboe', 'one field only: mail, number, note, street, post …'],
        [`not on ${list}`, 'the other way round'],
        [`${name} mail`, 'one value of a card, to copy: mail, number, address, birthday, web'],
      ],
    ],
    [
      'Fill in',
      [
        [`${name} 07700 900123`, 'a number, a mail or a web address that the card hasn’t got'],
        [`${name} born 3 May 1968`, 'a birthday, with or without the year'],
        [`${name} on ${list}`, 'a list, by how its name begins'],
        [`${name} #choir`, 'a tag'],
        [`${name} at Harbour Hall`, 'an organisation'],
        [`${name} note: likes early trains`, 'a note; it goes on to the end of the line'],
        ['new Zora Quast zora@example.org', 'a new card with what is recognised'],
      ],
    ],
    [
      'Do',
      [
        [`call ${name}`, 'or ring, dial; before the name or behind it'],
        [`write to ${name}`, 'or mail'],
        [`message ${name}`, 'or text'],
        [`way to ${name}`, 'the way there on a map'],
        [`copy ${name} number`, 'or any other value'],
        [`edit ${name}`, 'or change; also open, pin, unpin, archive'],
        ['devices', 'a page, by its name: settings, write, import, directory, table …'],
      ],
    ],
  ];
  return (
    <Sheet title="What the quick line understands" isOpen onClose={onClose}>
      {parts.map(([title, lines]) => (
        <View key={title} className="pb-4" testID={`help-${title}`}>
          <Txt size="small" font="sansBold" tone="faded" heading={3}>
            {title}
          </Txt>
          {lines.map(([example, what]) => (
            <Pressable
              key={example}
              role="button"
              aria-label={`Try: ${example}`}
              onPress={() => onTry(example)}
              className="min-h-[44px] justify-center border-b border-rule py-2 hover:bg-leaf active:bg-leaf"
            >
              <Txt tone="berry">{example}</Txt>
              <Txt size="small" tone="faded">
                {what}
              </Txt>
            </Pressable>
          ))}
        </View>
      ))}
    </Sheet>
  );
}
