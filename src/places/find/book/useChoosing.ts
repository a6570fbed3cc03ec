import { useCallback, useLayoutEffect } from 'react';
import { useStore } from 'react-redux';

import {
  type AppStore,
  type BookItem,
  choiceAdded,
  choiceToggled,
  choosingEnded,
  selectAnchor,
  selectIsChoosing,
  useAppDispatch,
} from '@/book/state';
import type { Uid } from '@/core/card';
import { focusedId, onKeyPress, ROW_ID } from '@/platform';

import { LIST_ID } from './useRowKeys';

/** The uids of a list's rows, letters left out. */
export function rowUids(items: readonly BookItem[]): Uid[] {
  return items.flatMap((item) => (item.kind === 'row' ? item.uid : []));
}

/** Chooses all rows from the one chosen last up to another; only that one where none was chosen before. */
export function useChooseRange(items: readonly BookItem[]): (uid: Uid) => void {
  const dispatch = useAppDispatch();
  const { getState } = useStore() as AppStore;
  return useCallback(
    (uid) => {
      const uids = rowUids(items);
      const to = uids.indexOf(uid);
      const anchor = selectAnchor(getState());
      const from = anchor === undefined ? to : uids.indexOf(anchor);
      if (from === -1) return void dispatch(choiceAdded([uid]));
      const range = uids.slice(Math.min(from, to), Math.max(from, to) + 1);
      dispatch(choiceAdded(from <= to ? range : range.reverse()));
    },
    [dispatch, getState, items],
  );
}

/** The keys of a list that several can be chosen of (WAI-ARIA practices): Space, Shift with Space, Ctrl A, Escape. */
export function useChoosingKeys(items: readonly BookItem[], chooseRange: (uid: Uid) => void): void {
  const dispatch = useAppDispatch();
  const { getState } = useStore() as AppStore;
  useLayoutEffect(
    () =>
      onKeyPress(({ key, isCommand, isShift, isTyping, isInDialog }) => {
        if (isTyping || isInDialog) return false;
        const uid = focusedId(ROW_ID);
        const isOnList = uid !== undefined || focusedId(LIST_ID) !== undefined;
        if (key === ' ' && uid !== undefined && !isCommand) {
          if (isShift) chooseRange(uid);
          else dispatch(choiceToggled(uid));
          return true;
        }
        if (key.toLowerCase() === 'a' && isCommand && isOnList) {
          dispatch(choiceAdded(rowUids(items)));
          return true;
        }
        if (key === 'Escape' && selectIsChoosing(getState())) {
          dispatch(choosingEnded());
          return true;
        }
        return false;
      }),
    [chooseRange, dispatch, getState, items],
  );
}
