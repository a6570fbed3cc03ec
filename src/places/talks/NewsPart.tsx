import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { lookInDirectory } from '@/book/directory';
import { selectIsOpen, selectReading, selectRow, useAppDispatch, useAppSelector } from '@/book/state';
import { acceptOneNews, dismissNews, useOpenNews } from '@/book/talks';
import { type News, NEWS_WORDS } from '@/core/talks';
import { cardPath, formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { Act, NameLink, Txt } from '@/ui';

/** Pieces of news that are shown at once. */
const SHOWN = 4;

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
  const [shown, setShown] = useState(SHOWN);
  if (news.length === 0) return null;
  return (
    <View testID="news">
      <Txt font="serif" size="title" heading={2}>
        {texts.newsNoticed}
      </Txt>
      {news.slice(0, shown).map((one) => (
        <NewsRow key={one.id} news={one} />
      ))}
      {news.length > shown ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(news.length - shown)}
            tone="faded"
            onPress={() => setShown(shown + 20)}
          />
        </View>
      ) : null}
    </View>
  );
}

function NewsRow({ news }: { readonly news: News }) {
  const dispatch = useAppDispatch();
  const name = useAppSelector((state) => selectRow(state, news.uid))?.shown ?? '';
  const { uid, day, collection, shown, before, from } = news;
  const path = cardPath(uid);
  return (
    <View className="border-b border-rule py-2">
      <NameLink label={name} href={path} onPress={() => go(path)} font="serif" />
      <Txt size="small" tone="faded">
        {`${before === undefined ? 'A' : texts.another} ${NEWS_WORDS[collection]}`}
      </Txt>
      <Txt size="strong">{shown}</Txt>
      <Txt size="small" tone="faded">
        {[
          before === undefined ? '' : texts.now(before),
          texts.on(SEEN[from ?? 'signature'], formatDay(`${day}T12:00:00Z`)),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Txt>
      <View className="flex-row gap-6">
        <Act
          label={before === undefined ? texts.add : texts.accept}
          name={texts.acceptFor(shown, name)}
          onPress={() => dispatch(acceptOneNews(news))}
          testID="accept-news"
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
  );
}
