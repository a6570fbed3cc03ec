import { selectSettings, useAppSelector } from '@/book/state';

/** The tags that were given a colour, in their order. */
export function useTonedTags(tags: readonly string[] = []): readonly { tag: string; tone: number }[] {
  const { tagTones } = useAppSelector(selectSettings);
  return tags.flatMap((tag) => {
    const tone = tagTones[tag.toLowerCase()];
    return tone === undefined ? [] : [{ tag, tone }];
  });
}
