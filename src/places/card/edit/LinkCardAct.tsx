import { useEffect, useState } from 'react';
import { useController } from 'react-hook-form';
import { Pressable, View } from 'react-native';

import { selectRowsByUid, useAppSelector, useServices } from '@/book';
import { linkToCard } from '@/core/notes';
import { Act, Field, Link, Sheet, Txt } from '@/ui';

import type { PartProps } from './FormField';

/** Cards offered while a name is typed. */
const OFFERED = 8;

/** Puts a link to another card at the end of a note. */
export function LinkCardAct({ form, index }: Pick<PartProps, 'form'> & { readonly index: number }) {
  const { field } = useController({ control: form.control, name: `notes.${index}.text` });
  const [isOpen, setOpen] = useState(false);
  const choose = (uid: string, name: string) => {
    const before = field.value === '' || /\s$/.test(field.value) ? field.value : `${field.value} `;
    field.onChange(before + linkToCard(uid, name));
    setOpen(false);
  };
  return (
    <View className="flex-row">
      <Act
        label="Link a card"
        icon={Link}
        tone="faded"
        onPress={() => setOpen(true)}
        testID={`link-note-${index}`}
      />
      {isOpen ? <ChooseCard onChoose={choose} onClose={() => setOpen(false)} /> : null}
    </View>
  );
}

interface ChooseCardProps {
  readonly onChoose: (uid: string, name: string) => void;
  readonly onClose: () => void;
}

function ChooseCard({ onChoose, onClose }: ChooseCardProps) {
  const { search } = useServices();
  const rows = useAppSelector(selectRowsByUid);
  const [text, setText] = useState('');
  const [found, setFound] = useState<readonly string[]>([]);
  useEffect(() => {
    let isCurrent = true;
    void search.query(text, OFFERED).then((hits) => {
      if (isCurrent) setFound(hits.map(({ uid }) => uid));
    });
    return () => {
      isCurrent = false;
    };
  }, [search, text]);
  return (
    <Sheet title="Link a card" isOpen onClose={onClose}>
      <Field label="Whose" value={text} onChange={setText} isFirst testID="link-note-name" />
      {found.map((uid) => (
        <Pressable
          key={uid}
          role="button"
          aria-label={`Link ${rows[uid]?.shown ?? 'this card'}`}
          onPress={() => onChoose(uid, rows[uid]?.shown ?? uid)}
          className="min-h-[44px] justify-center border-b border-rule hover:bg-leaf active:bg-leaf"
        >
          <Txt font="serif" size="strong">
            {rows[uid]?.shown ?? uid}
          </Txt>
          <Txt size="small" tone="faded">
            {rows[uid]?.second ?? ''}
          </Txt>
        </Pressable>
      ))}
    </Sheet>
  );
}
