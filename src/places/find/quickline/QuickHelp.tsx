import { Pressable, View } from 'react-native';

import { selectLists, selectOrder, selectRow, useAppSelector } from '@/book/state';
import { shownAs } from '@/core/card';
import { texts } from '@/texts/find/quickline';
import { Sheet, Txt } from '@/ui';

interface QuickHelpProps {
  readonly onClose: () => void;
  /** Puts an example into the line, where it can be tried. */
  readonly onTry: (text: string) => void;
}

/** All that the quick line understands, with examples from the user's own cards. */
export function QuickHelp({ onClose, onTry }: QuickHelpProps) {
  const uid = useAppSelector((state) => selectOrder(state)[0] ?? '');
  const name = useAppSelector((state) => selectRow(state, uid))?.shown ?? texts.adaLowther;
  const otherUid = useAppSelector((state) => selectOrder(state)[1] ?? '');
  const other = useAppSelector((state) => selectRow(state, otherUid))?.shown ?? texts.adaLowther;
  const list = useAppSelector(selectLists).map(shownAs)[0] ?? texts.patrons;
  const parts: readonly (readonly [string, readonly (readonly [string, string])[]])[] = [
    [
      texts.find,
      [
        [name.slice(0, Math.max(3, name.indexOf(' ') + 3)), texts.firstLettersOfNames],
        [texts.inLeipzigWithoutMail, texts.limitsInAtOnTagged],
        [texts.noteOboe, texts.oneFieldOnlyMail],
        [texts.notOn(list), texts.reverse],
        [texts.mail(name), texts.oneValueOfCard],
        [texts.birthdayInDecember, texts.daysAndAges],
        [texts.neverMet, texts.talksThatWere],
        [texts.closestOf(list), texts.orders],
      ],
    ],
    [
      texts.fillIn,
      [
        [`${name} 07700 900123`, texts.numberMailOrWeb],
        [texts.born3May1968(name), texts.birthdayWithOrWithout],
        [texts.onNamed(name, list), texts.listByHowItsName],
        [`${name} #choir`, texts.tag],
        [texts.atHarbourHall(name), texts.organisation],
        [texts.noteLikesEarlyTrains(name), texts.noteItGoesOnToEnd],
        [texts.putOn(name, list), texts.orOffAgain],
        [texts.monthly(name), texts.howOften],
        [texts.newZoraQuastZora, texts.newCardWithWhatIsRecognised],
      ],
    ],
    [
      texts.do,
      [
        [texts.callNamed(name), texts.orRingDialBefore],
        [texts.writeToNamed(name), texts.orMail],
        [texts.messageNamed(name), texts.orText],
        [texts.wayToNamed(name), texts.wayThereOnMap],
        [texts.copyNumber(name), texts.orAnyOtherValue],
        [texts.tryEdit(name), texts.orChangeAlsoOpen],
        [texts.remindMe(name), texts.dayInWords],
        [texts.meetTomorrow(name), texts.withTimeAndPlace],
        [texts.noteTalk(name), texts.whatWasSaidAndWhenNext],
        [texts.writeToList(list), texts.everybodyOnIt],
        [texts.sendCard(name, other), texts.cardAlongWithMessage],
        [texts.exportTable(list), texts.orVcardOrCalendar],
        ['devices', texts.pageByItsName],
      ],
    ],
    [
      texts.inOtherWords,
      [
        [texts.tryGerman(name), texts.german],
        [texts.trySpanish(name), texts.spanish],
        ['"oboe"', texts.inQuotes],
      ],
    ],
  ];
  return (
    <Sheet title={texts.whatQuickLineUnderstands} isOpen onClose={onClose}>
      {parts.map(([title, lines]) => (
        <View key={title} className="pb-4" testID={`help-${title}`}>
          <Txt size="small" font="sansBold" tone="faded" heading={3}>
            {title}
          </Txt>
          {lines.map(([example, what]) => (
            <Pressable
              key={example}
              role="button"
              aria-label={texts.try(example)}
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
