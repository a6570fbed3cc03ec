import { useState } from 'react';
import { useController } from 'react-hook-form';
import { View } from 'react-native';

import { linkToCard } from '@/core/card';
import { texts } from '@/texts/card/edit';
import { Act, Field, Link, Sheet } from '@/ui';

import type { PartProps } from './FormField';
import { FoundCards, useFoundCards } from './FoundCards';

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
        label={texts.linkCard}
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
  const [text, setText] = useState('');
  const found = useFoundCards(text, OFFERED);
  return (
    <Sheet title={texts.linkCard} isOpen onClose={onClose}>
      <Field label={texts.whose} value={text} onChange={setText} isFirst testID="link-note-name" />
      <FoundCards uids={found} verb={texts.link} onChoose={onChoose} />
    </Sheet>
  );
}
