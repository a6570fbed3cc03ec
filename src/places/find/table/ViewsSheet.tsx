import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { defaultTable, selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
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
        `Saved the view ${wanted}`,
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
    <Sheet title="Views" isOpen onClose={onClose}>
      <View className="gap-3">
        <View>
          {tableViews.map((view) => (
            <View key={view.name} className="flex-row items-center border-b border-rule">
              <Pressable
                role="button"
                aria-label={`Show the view ${view.name}`}
                onPress={() => take(view.look)}
                className="min-h-[44px] min-w-0 flex-1 justify-center hover:bg-leaf active:bg-leaf"
              >
                <Txt font="sansBold" tone="berry">
                  {view.name}
                </Txt>
              </Pressable>
              <Act
                label={`Delete the view ${view.name}`}
                icon={Trash}
                iconOnly
                tone="faded"
                onPress={() =>
                  dispatch(
                    changeSettingsUndoably(
                      `Deleted the view ${view.name}`,
                      { tableViews: tableViews.filter((one) => one !== view) },
                      false,
                    ),
                  )
                }
              />
            </View>
          ))}
          {tableViews.length === 0 ? (
            <Txt tone="faded">
              A view keeps the columns, their order and widths, the sorting and who is shown.
            </Txt>
          ) : null}
        </View>
        <Field
          label="Save this view as"
          value={name}
          onChange={setName}
          hint={isThere ? 'There is a view of this name; it will be replaced' : undefined}
          testID="view-name"
        />
        <NextAct label="Save" isDisabled={wanted === ''} onPress={keep} testID="keep-view" />
        <View className="flex-row">
          <Act label="The default table" onPress={() => take(defaultTable)} />
        </View>
      </View>
    </Sheet>
  );
}
