/** The pages of a card together: what they share (numbering plans, the form) is then loaded with them and not before. */
export { ChosenBar } from './many/ChosenBar';
export { writeCell } from '@/core/editing';
export { greetingFor, salutationFor } from '@/core/greetings';
export { cardToSend } from '@/core/sending';
export { cardValues } from '@/core/showing';
export { parseQuick, planAct, planNew, planQuick } from '@/core/quickline';
export { FollowUpActs, MeetingActs } from './talk/PlannedActs';
export { PersonActs } from './talk/PersonActs';
export { CardPage } from './CardPage';
export { EditPage, NewCardPage } from './edit/EditPage';
