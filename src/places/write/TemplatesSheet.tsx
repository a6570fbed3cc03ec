import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import type { MailDraft } from '@/book/write';
import { fieldsIn, SHIPPED, type Template } from '@/core/write';
import { texts } from '@/texts/write/write';
import { Act, Field, NextAct, Sheet, Trash, Txt } from '@/ui';

interface TemplatesSheetProps {
  readonly draft: MailDraft;
  readonly set: (some: Partial<MailDraft>) => void;
  readonly onClose: () => void;
}

/** Texts to begin with: those that ship and the user's own; and keeping the present one among them. */
export function TemplatesSheet({ draft, set, onClose }: TemplatesSheetProps) {
  const dispatch = useAppDispatch();
  const { templates } = useAppSelector(selectSettings);
  const [name, setName] = useState('');
  const wanted = name.trim();
  const isThere = templates.some((one) => one.name === wanted);
  const take = ({ subject, body }: Template) => {
    // A text with something in braces is for each by themselves.
    set({ subject, body, isEach: draft.isEach || fieldsIn(subject + body).length > 0 });
    onClose();
  };
  const keep = () => {
    const others = templates.filter((one) => one.name !== wanted);
    const kept = { name: wanted, subject: draft.subject, body: draft.body };
    dispatch(changeSettingsUndoably(texts.savedTemplate(wanted), { templates: [...others, kept] }, false));
    onClose();
  };
  const forget = (gone: Template) => {
    const left = templates.filter((one) => one.name !== gone.name);
    dispatch(changeSettingsUndoably(texts.deletedTemplate(gone.name), { templates: left }, false));
  };
  return (
    <Sheet title={texts.templates} isOpen onClose={onClose}>
      <View className="gap-4" testID="templates">
        <View>
          {[...templates, ...SHIPPED].map((template, i) => (
            <View key={`${i} ${template.name}`} className="flex-row items-center border-b border-rule">
              <Pressable
                role="button"
                aria-label={texts.beginWith(template.name)}
                onPress={() => take(template)}
                className="min-h-[44px] min-w-0 flex-1 justify-center hover:bg-leaf active:bg-leaf"
              >
                <Txt font="sansBold" tone="berry">
                  {template.name}
                </Txt>
                <Txt size="small" tone="faded" lines={1}>
                  {template.subject || template.body.trim().split('\n')[0] || ''}
                </Txt>
              </Pressable>
              {i < templates.length ? (
                <Act
                  label={texts.deleteTemplate(template.name)}
                  icon={Trash}
                  iconOnly
                  tone="faded"
                  onPress={() => forget(template)}
                />
              ) : null}
            </View>
          ))}
        </View>
        <Field
          label={texts.saveCurrentTextAs}
          value={name}
          onChange={setName}
          hint={isThere ? texts.thereIsTemplateOfThisName : undefined}
          testID="template-name"
        />
        <NextAct
          label={texts.save}
          isDisabled={wanted === '' || draft.subject + draft.body === ''}
          onPress={keep}
          testID="keep-template"
        />
      </View>
    </Sheet>
  );
}
