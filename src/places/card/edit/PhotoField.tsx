import { lazy, type ReactNode, Suspense, useEffect, useState } from 'react';
import { useController, useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { noticeShown, useAppDispatch, usePhoto, useServices } from '@/book/state';
import { errorMessage, hashText } from '@/core/base';
import { initialsOf, newCard, parseName } from '@/core/card';
import {
  cropPicture,
  isPicture,
  onFileDrop,
  onPaste,
  openPicture,
  pickFiles,
  type PictureArea,
} from '@/platform';
import { texts } from '@/texts/card/edit';
import { Act, Stamp, Txt, Upload, useWide } from '@/ui';

import type { PartProps } from './FormField';

/** Pixels of the longer side that are kept: for the card, and for rows. */
const CARD_SIDE = 512;
const ROW_SIDE = 96;

const CropSheet = lazy(() => import('./CropSheet').then((part) => ({ default: part.CropSheet })));

interface PhotoFieldProps extends Pick<PartProps, 'form'> {
  /** What stands beside the picture, above its acts. */
  readonly children: ReactNode;
}

/** The portrait of a person or the sign of an organisation: chosen, dropped or pasted, then cropped. */
export function PhotoField({ form, children }: PhotoFieldProps) {
  const { isWide } = useWide();
  const dispatch = useAppDispatch();
  const { photos } = useServices();
  const { field } = useController({ control: form.control, name: 'photo' });
  const [kind, name] = useWatch({ control: form.control, name: ['kind', 'name'] });
  const [opened, setOpened] = useState<string>();
  const stored = usePhoto(field.value.startsWith('blob:') ? field.value.slice(5) : undefined);
  const shown = field.value.startsWith('data:') ? field.value : stored;
  const isOrg = kind === 'org';
  const open = async (file: File | undefined) => {
    if (!file) return;
    try {
      setOpened(await openPicture(file));
    } catch (error) {
      const reason = errorMessage(error);
      dispatch(noticeShown({ text: `${file.name}: ${reason}`, tone: 'error' }));
    }
  };
  useEffect(() => {
    const take = (file: File | undefined) => void open(file);
    const stops = [
      onFileDrop((files) => take(files.find(isPicture))),
      onPaste((file) => isPicture(file) && take(file)),
    ];
    return () => stops.forEach((stop) => stop());
    // eslint-disable-next-line react-hooks/exhaustive-deps -- open closes over setters only
  }, []);
  const keep = async (area: PictureArea) => {
    if (opened === undefined) return;
    const photo = await cropPicture(opened, area, CARD_SIDE);
    await photos.putSmall(hashText(photo), await cropPicture(photo, undefined, ROW_SIDE));
    field.onChange(photo);
    setOpened(undefined);
  };
  const noun = isOrg ? 'logo' : 'photo';
  const initials = initialsOf({
    ...newCard('x', ''),
    name: isOrg ? { full: name } : (parseName(name) ?? {}),
  });
  return (
    <View className="flex-row items-center gap-4" testID="photo-field">
      <Stamp initials={initials} isOrg={isOrg} photo={shown} size="card" />
      <View className="min-w-0 flex-1">
        {children}
        <View className="flex-row flex-wrap gap-x-4">
          <Act
            label={field.value === '' ? texts.chooseNamed(noun) : texts.another(noun)}
            icon={Upload}
            onPress={() => void pickFiles('image/*').then(([file]) => open(file))}
            testID="choose-photo"
          />
          {field.value === '' ? null : (
            <Act label={texts.remove} tone="faded" onPress={() => field.onChange('')} testID="remove-photo" />
          )}
        </View>
        {isWide ? (
          <Txt size="small" tone="faded">
            {texts.orDropOrPaste}
          </Txt>
        ) : null}
      </View>
      {opened === undefined ? null : (
        <Suspense fallback={null}>
          <CropSheet
            picture={opened}
            aspect={isOrg ? 5 / 4 : 4 / 5}
            onKeep={(area) => void keep(area)}
            onClose={() => setOpened(undefined)}
          />
        </Suspense>
      )}
    </View>
  );
}
