/**
 * Posts that people publish, as they stand among their talks.
 * Standard: none; where they come from is core/feeds.
 * Left out: reading feeds, and counting posts as talks: nobody has talked to anybody by them.
 */
export { type Feed, feedSchema, MAX_POSTS, MAX_SUMMARY, type Post, postSchema } from './post';
export { amongTalks, type TalkOrPost } from './amongTalks';
export { feedLinks } from './feedLinks';
