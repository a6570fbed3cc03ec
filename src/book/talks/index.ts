/**
 * Talks: read, imported, followed; Today; unfiled addresses; news noticed.
 */
export { dayInWords } from './dayInWords';
export { type ImportedTalks, importTalks } from './importTalks';
export { acceptOneNews, dismissNews } from './news/changeNews';
export { noteDuplicateNews } from './news/noteDuplicateNews';
export { addNews } from './news/readNews';
export { useOpenNews } from './news/useOpenNews';
export { type PostsRead, readPosts } from './readPosts';
export { sendMeeting } from './sendMeeting';
export { withFiles, withoutFiles } from './talkFiles';
export {
  useCloseness,
  useListRhythms,
  useRhythmBalances,
  useTalkOrder,
  useTalksWith,
  useToday,
} from './talkHooks';
export { addUnfiled, dismissUnfiled } from './unfiled/changeUnfiled';
export { type UnfiledView, useUnfiled } from './unfiled/useUnfiled';
export { useTalkBars } from './useTalkBars';
