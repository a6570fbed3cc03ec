/**
 * A card: its page, its form, its talks, and what can be done with many cards at once.
 */
export {
  CardPage,
  CardPane,
  ChosenBar,
  EditPage,
  FollowUpActs,
  FollowUpLikely,
  LikelyAct,
  loadCardWork,
  MeetingActs,
  MeetingLikely,
  NewCardPage,
  PersonOpened,
  preloadCardPages,
} from './lazy';
