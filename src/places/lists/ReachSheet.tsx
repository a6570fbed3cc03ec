import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { type MemberReach, reachFor, withReach } from '@/core/lists';
import { texts } from '@/texts/lists/lists';
import { Choice, Sheet, Txt } from '@/ui';

interface ReachSheetProps {
  readonly list: Card;
  readonly member: Card;
  readonly onClose: () => void;
}

/** Which address and number of a member a list uses. */
export function ReachSheet({ list, member, onClose }: ReachSheetProps) {
  const dispatch = useAppDispatch();
  const reach = reachFor(list, member.uid);
  const name = shownAs(member);
  const set = (next: MemberReach) =>
    void dispatch(
      changeMany({
        cards: [list],
        label: texts.choseHowIsReached(name, shownAs(list)),
        change: (one) => withReach(one, member.uid, next),
      }),
    );
  const { emailId: _, ...withoutMail } = reach;
  const { phoneId: __, ...withoutNumber } = reach;
  const mails = Object.entries(member.emails ?? {}).map(([id, { address }]) => [id, address] as const);
  const numbers = Object.entries(member.phones ?? {}).map(
    ([id, { number }]) => [id, number.replace(/^tel:/, '')] as const,
  );
  return (
    <Sheet title={texts.on(name, shownAs(list))} isOpen onClose={onClose}>
      <View className="gap-4">
        <Part
          title={texts.mailForThisList}
          options={mails}
          value={reach.emailId}
          onChange={(id) => set(id === '' ? withoutMail : { ...reach, emailId: id })}
        />
        <Part
          title={texts.numberForThisList}
          options={numbers}
          value={reach.phoneId}
          onChange={(id) => set(id === '' ? withoutNumber : { ...reach, phoneId: id })}
        />
      </View>
    </Sheet>
  );
}

interface PartProps {
  readonly title: string;
  readonly options: readonly (readonly [id: string, shown: string])[];
  readonly value: string | undefined;
  readonly onChange: (id: string) => void;
}

function Part({ title, options, value = '', onChange }: PartProps) {
  return (
    <View>
      <Txt size="small" font="sansBold" tone="faded" heading={3}>
        {title}
      </Txt>
      {options.length === 0 ? (
        <Txt tone="faded">{texts.thereIsNoneOnCard}</Txt>
      ) : (
        <Choice
          name={title}
          options={[['', texts.preferredOne], ...options]}
          value={options.some(([id]) => id === value) ? value : ''}
          onChange={onChange}
        />
      )}
    </View>
  );
}

/** What a list uses, where it has its own choice: "pier@example.org". */
export function reachText(list: Card, member: Card | undefined): string {
  if (!member) return '';
  const { emailId = '', phoneId = '' } = reachFor(list, member.uid);
  const number = member.phones?.[phoneId]?.number.replace(/^tel:/, '');
  return [member.emails?.[emailId]?.address, number].filter(Boolean).join(' · ');
}
