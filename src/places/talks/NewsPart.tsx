import { useEffect } from 'react';
import { View } from 'react-native';

import { lookInDirectory } from '@/book/directory';
import { selectIsOpen, selectReading, selectRow, useAppDispatch, useAppSelector } from '@/book/state';
import { acceptOneNews, dismissNews, useOpenNews } from '@/book/talks';
import { type News, NEWS_WORDS } from '@/core/talks';
import { formatDay } from '@/platform';
import { texts } from '@/texts/talks/talks';
import { Act, Check, Txt } from '@/ui';

import { DayRow } from './DayRow';
import { Part } from './Part';

/** Where news was seen. */
const SEEN: Readonly<Record<NonNullable<News['from']>, string>> = {
  signature: texts.inMailSignature,
  directory: texts.seenInDirectory,
  import: texts.onAnotherCardThatWasImported,
  device: texts.onAnotherCardThatDevice,
};

/** What signatures, the directory and second cards say of people that their cards don't say: each to accept or to dismiss. */
export function NewsPart() {
  const dispatch = useAppDispatch();
  const news = useOpenNews();
  const isRead = useAppSelector((state) => selectIsOpen(state) && selectReading(state) === undefined);
  useEffect(() => {
    if (isRead) void dispatch(lookInDirectory());
  }, [dispatch, isRead]);
  if (news.length === 0) return null;
  return (
    <View testID="news">
      <Part title={texts.newsNoticed} count={news.length}>
        {news.map((one) => (
          <NewsRow key={one.id} news={one} />
        ))}
      </Part>
    </View>
  );
}

function NewsRow({ news }: { readonly news: News }) {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => selectRow(state, news.uid))?.shown ?? '';
  const { id, uid, day, collection, shown, before, from } = news;
  const accept = () => void dispatch(acceptOneNews(news));
  const what = `${before === undefined ? texts.newWord : texts.anotherWord} ${NEWS_WORDS[collection]}: ${shown}`;
  return (
    <DayRow
      id={`news ${uid} ${id}`}
      uids={[uid]}
      second={what}
      likely={
        <Act
          label={texts.acceptFor(shown, name)}
          icon={Check}
          iconOnly
          onPress={accept}
          testID="accept-news"
        />
      }
    >
      <View className="pb-2">
        <Txt>{shown}</Txt>
        <Txt size="small" tone="faded">
          {[
            before === undefined ? '' : texts.now(before),
            texts.on(SEEN[from ?? 'signature'], formatDay(`${day}T12:00:00Z`)),
          ]
            .filter(Boolean)
            .join(' · ')}
        </Txt>
        <View className="flex-row flex-wrap gap-x-5">
          <Act
            label={before === undefined ? texts.add : texts.accept}
            name={texts.acceptFor(shown, name)}
            icon={Check}
            onPress={accept}
          />
          <Act
            label={texts.dismiss}
            name={texts.dismissFor(shown, name)}
            tone="faded"
            onPress={() => dispatch(dismissNews(news, name))}
            testID="dismiss-news"
          />
        </View>
      </View>
    </DayRow>
  );
}
