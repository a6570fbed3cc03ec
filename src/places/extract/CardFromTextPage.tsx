import { useLocalSearchParams } from 'expo-router';
import { useCallback, useEffect, useState } from 'react';
import { View } from 'react-native';

import { storedTextToRead, storeTextToRead, useExtract, usePictureText } from '@/book/extract';
import { useServices } from '@/book/state';
import type { SpanCorrection } from '@/core/extract';
import { isPicture, onFileDrop, onPaste } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/extract/extract';
import { Act, Field, OverPage, usePageTitle, useWide } from '@/ui';

import { MarkedText } from './MarkedText';
import { OtherWriters } from './OtherWriters';
import { LanguageSheet, PicturePart } from './PicturePart';
import { type LoadShowing, ReadCard } from './ReadCard';

/** A text longer than this is no signature and no mail; it would only take time. */
const MAX_CHARS = 20_000;

interface CardFromTextProps {
  /** Loads what displays the values of a card, which brings the numbering plans along. */
  readonly loadShowing: LoadShowing;
}

/** A card from text that is pasted, dropped or shared; what was recognised is shown in it and can be corrected. */
export function CardFromTextPage({ loadShowing }: CardFromTextProps) {
  usePageTitle(shared.cardFromText);
  const { isWide } = useWide();
  const [text, setText] = useTextToRead();
  const [corrections, setCorrections] = useState<readonly SpanCorrection[]>([]);
  const change = useCallback(
    (now: string) => {
      setCorrections([]);
      setText(now.slice(0, MAX_CHARS));
    },
    [setText],
  );
  const { state, read, stop, language, setLanguage } = usePictureText(change);
  const [isKept, setKept] = useState(false);
  const [isChoosing, setChoosing] = useState(false);
  const [whole, setWhole] = useState<string>();
  useEffect(() => {
    const take = (file: File | undefined) => {
      if (file && isPicture(file)) void read(file);
      else void file?.text().then(change);
    };
    const stops = [onFileDrop(([file]) => take(file)), onPaste((file) => isPicture(file) && take(file))];
    return () => stops.forEach((end) => end());
  }, [change, read]);
  const extracted = useExtract(text, corrections);
  return (
    <OverPage
      title={shared.cardFromText}
      backLabel={texts.book}
      onBack={() => go('/book')}
      className="max-w-[1080px] gap-5"
      testID="extract-page"
    >
      <View className={isWide && state.kind !== 'none' ? 'flex-row gap-8' : 'max-w-[720px] gap-4'}>
        <PicturePart
          state={state}
          language={language}
          isKept={isKept}
          onKeep={setKept}
          onFile={(file) => void read(file)}
          onStop={stop}
          onLanguage={() => setChoosing(true)}
        />
        <LanguageSheet
          isOpen={isChoosing}
          language={language}
          onChoose={setLanguage}
          onClose={() => setChoosing(false)}
        />
        <View className="min-w-0 flex-1">
          <Field
            label={texts.text}
            hint={texts.signatureWholeMailWords}
            value={text}
            onChange={change}
            isLong
            testID="extract-text"
          />
          {text === '' ? null : (
            <View className="flex-row">
              <Act label={texts.clearText} tone="faded" onPress={() => change('')} />
            </View>
          )}
        </View>
      </View>
      {extracted ? (
        <View className={isWide ? 'flex-row gap-8' : 'gap-6'}>
          <View className={isWide ? 'min-w-0 flex-1' : ''}>
            <MarkedText
              extracted={extracted}
              canUndo={corrections.length > 0}
              onCorrect={(correction) => setCorrections([...corrections, correction])}
              onUndo={() => setCorrections(corrections.slice(0, -1))}
            />
          </View>
          <View className={isWide ? 'min-w-0 flex-1' : ''}>
            <ReadCard
              extracted={extracted}
              loadShowing={loadShowing}
              {...(isKept && state.kind === 'read' ? { picture: state.shown } : {})}
            />
            <OtherWriters
              others={extracted.others}
              isPart={whole !== undefined}
              onRead={(part) => {
                setWhole(whole ?? text);
                change(part);
              }}
              onWhole={() => {
                if (whole !== undefined) change(whole);
                setWhole(undefined);
              }}
            />
          </View>
        </View>
      ) : null}
    </OverPage>
  );
}

/** The text that is being read: handed over in the address by another application, or kept from before. */
function useTextToRead(): [string, (text: string) => void] {
  const services = useServices();
  const shared = useLocalSearchParams<{ title?: string; text?: string; url?: string }>();
  const handed = [shared.title, shared.text, shared.url].filter(Boolean).join('\n');
  const [text, setText] = useState(handed);
  useEffect(() => {
    if (handed !== '') return;
    void storedTextToRead(services).then((kept) => setText((now) => (now === '' ? kept : now)));
  }, [handed, services]);
  const keep = useCallback(
    (now: string) => {
      setText(now);
      storeTextToRead(services, now);
    },
    [services],
  );
  return [text, keep];
}
