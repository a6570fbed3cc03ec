import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { defaultTable, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { texts } from '@/texts/find/table';
import { Act, Field, NextAct, Sheet, Trash, Txt } from '@/ui';

import { useLook } from './useLook';

/** Looks of the table that were kept with a name. */
export function ViewsSheet({ onClose }: { readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { tableViews } = useAppSelector(selectSettings);
  const { look, setLook } = useLook();
  const [name, setName] = useState('');
  const wanted = name.trim();
  const isThere = tableViews.some((view) => view.name === wanted);
  const keep = () => {
    const others = tableViews.filter((view) => view.name !== wanted);
    dispatch(
      changeSettingsUndoably(
        texts.savedView(wanted),
        { tableViews: [...others, { name: wanted, look }] },
        false,
      ),
    );
    setName('');
  };
  const take = (next: typeof look) => {
    setLook(next);
    onClose();
  };
  return (
    <Sheet title={texts.views} isOpen onClose={onClose}>
      <View className="gap-3">
        <View>
          {tableViews.map((view) => (
            <View key={view.name} className="flex-row items-center border-b border-rule">
              <Pressable
                role="button"
                aria-label={texts.showView(view.name)}
                onPress={() => take(view.look)}
                className="min-h-[44px] min-w-0 flex-1 justify-center hover:bg-leaf active:bg-leaf"
              >
                <Txt font="sansBold" tone="berry">
                  {view.name}
                </Txt>
              </Pressable>
              <Act
                label={texts.deleteView(view.name)}
                icon={Trash}
                iconOnly
                tone="faded"
                onPress={() =>
                  dispatch(
                    changeSettingsUndoably(
                      texts.deletedView(view.name),
                      { tableViews: tableViews.filter((one) => one !== view) },
                      false,
                    ),
                  )
                }
              />
            </View>
          ))}
          {tableViews.length === 0 ? <Txt tone="faded">{texts.viewKeepsColumnsTheirOrder}</Txt> : null}
        </View>
        <Field
          label={texts.saveThisViewAs}
          value={name}
          onChange={setName}
          hint={isThere ? texts.thereIsViewOfThisName : undefined}
          testID="view-name"
        />
        <NextAct label={texts.save} isDisabled={wanted === ''} onPress={keep} testID="keep-view" />
        <View className="flex-row">
          <Act label={texts.defaultTable} onPress={() => take(defaultTable)} />
        </View>
      </View>
    </Sheet>
  );
}
