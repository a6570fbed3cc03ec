import { Image, View } from 'react-native';

import type { PictureState } from '@/book/extract';
import type { PictureLanguage } from '@/core/extract/picture';
import { pickFiles } from '@/platform';
import { texts } from '@/texts/extract/picture';
import { Act, Choice, ImageIcon, ProgressLine, Sheet, Switch, Txt } from '@/ui';

import { FAULT_SENTENCES, LANGUAGE_WORDS } from './pictureWords';

/** A square, so that a picture on its side can be turned within it. */
const PICTURE = { width: 260, height: 260 } as const;

interface PicturePartProps {
  readonly state: PictureState;
  readonly language: PictureLanguage;
  readonly isKept: boolean;
  readonly onKeep: (isKept: boolean) => void;
  readonly onFile: (file: File) => void;
  readonly onStop: () => void;
  readonly onLanguage: () => void;
}

/** A picture of a card: chosen, how far its reading is, and itself beside the words. */
export function PicturePart({
  state,
  language,
  isKept,
  onKeep,
  onFile,
  onStop,
  onLanguage,
}: PicturePartProps) {
  const shown = state.kind === 'none' ? undefined : state.shown;
  return (
    <View className="gap-2" testID="picture-part">
      <View className="flex-row flex-wrap items-center gap-x-5">
        <Act
          label={shown === undefined ? texts.readPicture : texts.anotherPicture}
          icon={ImageIcon}
          onPress={() => void pickFiles('image/*').then(([file]) => file && onFile(file))}
          testID="choose-picture"
        />
        <Act
          label={texts.cardIn(LANGUAGE_WORDS[language])}
          tone="faded"
          onPress={onLanguage}
          testID="picture-language"
        />
      </View>
      {state.kind === 'reading' ? (
        <ProgressLine
          text={state.isLoading ? texts.readerComes : texts.reading}
          share01={state.share01}
          onStop={onStop}
        />
      ) : null}
      {state.kind === 'failed' ? (
        <View role="alert" testID="picture-fault">
          <Txt tone="brick">{sentenceOf(state.why)}</Txt>
        </View>
      ) : null}
      {shown === undefined ? null : (
        <Image
          source={{ uri: shown }}
          accessibilityLabel={texts.picture}
          resizeMode="contain"
          style={[PICTURE, state.kind === 'read' ? { transform: [{ rotate: `${state.turn}deg` }] } : {}]}
          testID="picture-shown"
        />
      )}
      {state.kind === 'read' ? (
        <Switch
          label={texts.keepPicture}
          hint={texts.keptOnlyIfAsked}
          isOn={isKept}
          onChange={onKeep}
          testID="keep-picture"
        />
      ) : null}
    </View>
  );
}

/** What is wrong with a picture, and what helps. */
function sentenceOf(why: string): string {
  return FAULT_SENTENCES.get(why) ?? texts.cantBeRead(why);
}

interface LanguageSheetProps {
  readonly isOpen: boolean;
  readonly language: PictureLanguage;
  readonly onChoose: (language: PictureLanguage) => void;
  readonly onClose: () => void;
}

/** The language that a card is in, of those whose letters can be read. */
export function LanguageSheet({ isOpen, language, onChoose, onClose }: LanguageSheetProps) {
  return (
    <Sheet title={texts.languageOfCard} isOpen={isOpen} onClose={onClose}>
      <Choice
        name={texts.languageOfCard}
        options={Object.entries(LANGUAGE_WORDS) as [PictureLanguage, string][]}
        value={language}
        onChange={(chosen) => {
          onChoose(chosen);
          onClose();
        }}
      />
    </Sheet>
  );
}
