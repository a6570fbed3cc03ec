import { useEffect, useState } from 'react';

import { useAppDispatch } from '@/book/state';
import { type PostsRead, readPosts } from '@/book/talks';
import type { Card } from '@/core/card';
import { type Feed, feedSchema } from '@/core/talks';

/** What somebody publishes, where the user wants it among the talks. */
export interface Posts {
  readonly feed: Feed | undefined;
  /** Why it couldn't be looked for. */
  readonly fault: string | undefined;
}

/** Follows the card; nothing is asked for without the user's wish. */
export function usePosts(card: Card): Posts {
  const dispatch = useAppDispatch();
  const { uid, 'cordialis.example:feed': address } = card;
  const key = address === undefined ? '' : `${uid} ${address}`;
  const [read, setRead] = useState<PostsRead & { readonly key: string }>();
  useEffect(() => {
    if (address === undefined) return;
    let isCurrent = true;
    void dispatch(readPosts(uid, address, (one) => (isCurrent ? setRead({ ...one, key }) : undefined)));
    return () => {
      isCurrent = false;
    };
  }, [address, dispatch, key, uid]);
  if (key === '' || read?.key !== key) return { feed: undefined, fault: undefined };
  return { feed: feedSchema.safeParse(read.feed).data, fault: read.fault };
}
