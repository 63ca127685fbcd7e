import { useCallback } from 'react';
import type { Said } from '../../../../core/batch/note.ts';
import type { Fault } from '../../../../core/result/result.ts';
import type { Gesture } from '../../../../store/gesture.ts';
import { useAppDispatch } from '../../../../store/store.ts';
import { writeDown } from '../../../../store/writeDown.ts';

/** Write down what was really done of the open plan; a fault says what cannot be. */
export function useWriteDown(): (says: readonly Said[], gesture?: Gesture) => Fault | undefined {
  const dispatch = useAppDispatch();
  return useCallback((says, gesture) => dispatch(writeDown(says, gesture)), [dispatch]);
}
