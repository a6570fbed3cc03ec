/** The pages of a card together: what they share (numbering plans, the form) is then loaded with them and not before. */
export { CardPage, CardPane } from './CardPage';
export { LikelyAct } from './day/LikelyAct';
export { PersonOpened } from './day/PersonOpened';
export { EditPage, NewCardPage } from './edit/EditPage';
export { ChosenBar } from './many/ChosenBar';
export { FollowUpActs, FollowUpLikely, MeetingActs, MeetingLikely } from './talk/PlannedActs';
export { writeCell } from '@/core/card';
export { greetingFor, salutationFor } from '@/core/card';
export { cardValues } from '@/core/card';
export { parseQuick, planAct, planNew, planQuick, planReading } from '@/core/find';
export { cardToSend } from '@/core/write';
