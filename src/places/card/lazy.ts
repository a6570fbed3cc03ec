import { lazy } from 'react';

const load = () => import('./pages');

/** The pages of a card and what is done to many, loaded when the first of them is needed. */
export const CardPage = lazy(() => load().then((pages) => ({ default: pages.CardPage })));
export const EditPage = lazy(() => load().then((pages) => ({ default: pages.EditPage })));
export const ChosenBar = lazy(() => load().then((pages) => ({ default: pages.ChosenBar })));
export const CardPane = lazy(() => load().then((pages) => ({ default: pages.CardPane })));
export const PersonOpened = lazy(() => load().then((pages) => ({ default: pages.PersonOpened })));
export const LikelyAct = lazy(() => load().then((pages) => ({ default: pages.LikelyAct })));
export const FollowUpActs = lazy(() => load().then((pages) => ({ default: pages.FollowUpActs })));
export const FollowUpLikely = lazy(() => load().then((pages) => ({ default: pages.FollowUpLikely })));
export const MeetingActs = lazy(() => load().then((pages) => ({ default: pages.MeetingActs })));
export const MeetingLikely = lazy(() => load().then((pages) => ({ default: pages.MeetingLikely })));
export const NewCardPage = lazy(() => load().then((pages) => ({ default: pages.NewCardPage })));

/** Loads the pages ahead, so that the first card opens at once. */
export function preloadCardPages(): void {
  void load();
}

/** Loads what plans the acts of the quick line and writes the table's cells, which needs what the pages need. */
export function loadCardWork() {
  return load();
}
