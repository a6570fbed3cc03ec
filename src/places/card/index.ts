/**
 * A card: its page, its form, its talks, and what can be done with many cards at once.
 */
export {
  CardPage,
  ChosenBar,
  EditPage,
  FollowUpActs,
  loadCardWork,
  MeetingActs,
  NewCardPage,
  PersonActs,
  preloadCardPages,
} from './lazy';
