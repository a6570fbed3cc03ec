import { useState } from 'react';
import Cropper from 'react-easy-crop';
import { View } from 'react-native';

import type { PictureArea } from '@/platform';
import { texts } from '@/texts/card/edit';
import { Act, Minus, NextAct, Plus, Sheet, Txt } from '@/ui';

/** The largest zoom of a picture. */
const MAX_ZOOM = 4;
const STEP = 0.25;

interface CropSheetProps {
  readonly picture: string;
  /** Width by height of the stamp. */
  readonly aspect: number;
  readonly onKeep: (area: PictureArea) => void;
  readonly onClose: () => void;
}

/** Which part of a picture is kept: moved by finger, mouse or arrow keys, zoomed by wheel, pinch or buttons. */
export function CropSheet({ picture, aspect, onKeep, onClose }: CropSheetProps) {
  const [crop, setCrop] = useState({ x: 0, y: 0 });
  const [zoom, setZoom] = useState(1);
  const [area, setArea] = useState<PictureArea>();
  const nearer = (by: number) => setZoom(Math.min(MAX_ZOOM, Math.max(1, zoom + by)));
  return (
    <Sheet title={texts.cropPicture} isOpen onClose={onClose}>
      <View className="gap-3">
        <View className="h-[320px] bg-leaf" testID="crop-area">
          <Cropper
            image={picture}
            crop={crop}
            zoom={zoom}
            maxZoom={MAX_ZOOM}
            aspect={aspect}
            showGrid={false}
            onCropChange={setCrop}
            onZoomChange={setZoom}
            onCropComplete={(_, pixels) => setArea(pixels)}
          />
        </View>
        <View className="flex-row items-center gap-4">
          <Act label={texts.zoomOut} icon={Minus} onPress={() => nearer(-STEP)} isDisabled={zoom <= 1} />
          <Act label={texts.zoomIn} icon={Plus} onPress={() => nearer(STEP)} isDisabled={zoom >= MAX_ZOOM} />
        </View>
        <Txt size="small" tone="faded">
          {texts.dragItIntoPlace}
        </Txt>
        <View className="flex-row items-center gap-4">
          <NextAct
            label={texts.useThisCrop}
            isDisabled={area === undefined}
            onPress={() => area && onKeep(area)}
            testID="keep-photo"
          />
          <Act label={texts.cancel} tone="faded" onPress={onClose} />
        </View>
      </View>
    </Sheet>
  );
}
