/** The pages of a card together: what they share (numbering plans, the form) is then loaded with them and not before. */
export { ChosenBar } from './many/ChosenBar';
export { writeCell } from '@/core/editing';
export { parseQuick, planAct, planNew, planQuick } from '@/core/quickline';
export { PersonActs } from './talk/PersonActs';
export { CardPage } from './CardPage';
export { EditPage, NewCardPage } from './edit/EditPage';
