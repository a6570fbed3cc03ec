import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { dropDraft, type MailDraft, readDrafts, type SavedDraft, saveDraft } from '@/book/write';
import { formatDay } from '@/platform';
import { texts } from '@/texts/write/write';
import { Act, Sheet, Trash, Txt } from '@/ui';

interface DraftsSheetProps {
  readonly draft: MailDraft;
  readonly set: (some: Partial<MailDraft>) => void;
  readonly onClose: () => void;
}

/** Drafts: opening one saves the message being written as a draft. */
export function DraftsSheet({ draft, set, onClose }: DraftsSheetProps) {
  const dispatch = useAppDispatch();
  const [drafts, setDrafts] = useState<readonly SavedDraft[]>();
  const read = useCallback(() => void dispatch(readDrafts()).then(setDrafts), [dispatch]);
  useEffect(read, [read]);
  const goOn = async (laid: SavedDraft) => {
    dispatch(saveDraft(draft));
    set(laid.draft);
    await dispatch(dropDraft(laid.id));
    onClose();
  };
  return (
    <Sheet title={texts.drafts} isOpen onClose={onClose}>
      <View testID="drafts">
        {drafts?.length === 0 ? (
          <Txt font="serifItalic" tone="faded">
            {texts.noDrafts}
          </Txt>
        ) : null}
        {(drafts ?? []).map((laid) => (
          <View key={laid.id} className="flex-row items-center gap-3 border-b border-rule py-1">
            <View className="min-w-0 flex-1">
              <Act label={nameOf(laid.draft)} tone="ink" onPress={() => void goOn(laid)} testID="draft" />
              <Txt size="small" tone="faded" isFigures>
                {texts.toPeopleAndListsDay(formatDay(laid.at), laid.draft.to.length)}
              </Txt>
            </View>
            <Act
              label={texts.delete}
              name={texts.deleteDraft(nameOf(laid.draft))}
              icon={Trash}
              tone="faded"
              onPress={() => void dispatch(dropDraft(laid.id)).then(read)}
            />
          </View>
        ))}
      </View>
    </Sheet>
  );
}

function nameOf({ subject, body }: MailDraft): string {
  const words = subject.trim() || body.trim().split('\n')[0]?.slice(0, 60) || '';
  return words === '' ? texts.noTextYet : words;
}
