import { View } from 'react-native';

import { changeBook } from '@/book/commit';
import { changed } from '@/book/history';
import { useAppDispatch } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { feedLinks, type Post } from '@/core/talks';
import { formatDay, openOutside } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, Newspaper, Txt, useColours } from '@/ui';

import type { Posts } from './usePosts';

/** Something that somebody has published, as it stands among the talks. */
export function PostRow({ post: { title, summary, uri, at } }: { readonly post: Post }) {
  const colours = useColours();
  return (
    <View className="flex-row gap-3 border-b border-rule pb-2" testID="post">
      <View className="pt-3">
        <Newspaper size={20} strokeWidth={1.75} color={colours.faded} />
      </View>
      <View className="min-w-0 flex-1">
        <View className="min-h-[44px] justify-center">
          <Txt size="small" tone="faded" isFigures>
            {texts.postDay(formatDay(at))}
          </Txt>
        </View>
        {title === '' ? null : <Txt font="sansBold">{title}</Txt>}
        {summary === '' ? null : <Txt>{summary}</Txt>}
        {uri === undefined ? null : (
          <View className="flex-row">
            <Act
              label={texts.readIt}
              name={texts.read(title || texts.post)}
              onPress={() => openOutside(uri)}
            />
          </View>
        )}
      </View>
    </View>
  );
}

/** Whether somebody's posts stand among the talks, and from which of their pages. */
export function PostsChoice({ card, posts }: { readonly card: Card; readonly posts: Posts }) {
  const dispatch = useAppDispatch();
  const links = feedLinks(card);
  const { 'cordialis.example:feed': chosen, ...rest } = card;
  const choose = (address: string | undefined) => {
    const label = (address === undefined ? texts.hidPosts : texts.showedPosts)(shownAs(card));
    const after = address === undefined ? rest : { ...rest, 'cordialis.example:feed': address };
    void dispatch(changeBook({ cause: 'edit', label, edits: [changed(card, after)] }));
  };
  if (chosen === undefined && links.length === 0) return null;
  return (
    <View testID="posts-choice">
      {posts.fault === undefined ? null : (
        <Txt size="small" tone="brick">
          {texts.noPosts(posts.fault)}
        </Txt>
      )}
      <View className="flex-row flex-wrap gap-x-5">
        {chosen === undefined ? (
          links.map((link) => (
            <Act
              key={link}
              label={links.length === 1 ? texts.showTheirPosts : texts.showPostsOf(hostOf(link))}
              name={texts.showWhatPublishesAmong(hostOf(link))}
              icon={Newspaper}
              tone="faded"
              onPress={() => choose(link)}
              testID="show-posts"
            />
          ))
        ) : (
          <Act
            label={texts.hideTheirPosts}
            name={texts.hideWhatPublishes(hostOf(chosen))}
            icon={Newspaper}
            tone="faded"
            onPress={() => choose(undefined)}
            testID="hide-posts"
          />
        )}
      </View>
    </View>
  );
}

function hostOf(uri: string): string {
  return URL.canParse(uri) ? new URL(uri).host.replace(/^www\./, '') : uri;
}
