import type { PhotoCache } from '@/book/store';
import { hashText } from '@/core/base';
import type { Talk } from '@/core/talks';

/** Talks with the bytes of their files in them, as they go out. */
export async function withFiles(talks: readonly Talk[], files: PhotoCache): Promise<Talk[]> {
  const ids = talks.flatMap((talk) => (talk.files ?? []).flatMap(({ blobId }) => blobId ?? []));
  if (ids.length === 0) return [...talks];
  const bytes = await files.getMany(ids);
  return talks.map((talk) => {
    if (!talk.files) return talk;
    const whole = talk.files.map((file) => {
      const uri = file.blobId === undefined ? null : bytes[file.blobId];
      return typeof uri === 'string' ? { name: file.name, uri } : file;
    });
    return { ...talk, files: whole };
  });
}

/** Talks without the bytes of their files, which are put into the store. */
export async function withoutFiles(talks: readonly Talk[], files: PhotoCache): Promise<Talk[]> {
  const bytes: Record<string, string> = {};
  const light = talks.map((talk) => {
    if (!talk.files) return talk;
    const named = talk.files.map((file) => {
      if (file.uri?.startsWith('data:') !== true) return file;
      const blobId = hashText(file.uri);
      bytes[blobId] = file.uri;
      return { name: file.name, blobId };
    });
    return { ...talk, files: named };
  });
  await files.put(bytes);
  return light;
}
