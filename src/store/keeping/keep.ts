import { database } from '../database.ts';
import { store } from '../store.ts';
import { Keeper } from './keeper.ts';
import { storageAnswered, storageFailed, workChanged, workEnded } from './keepingSlice.ts';
import { askToLast, storageUse } from './storageUse.ts';
import type { Held } from '../tables/plans.ts';

let asked = false;

/** Once something of the maker's is stored: the browser is asked not to clear it by itself. */
function askOnce(): void {
  if (asked) return;
  asked = true;
  void storageUse().then((use) => (use.lasting === false ? askToLast() : undefined));
}

/** Keeps what is worked on in this page. */
export const keeper = new Keeper(database, {
  work: (planId, work) => {
    store.dispatch(workChanged({ planId, work }));
  },
  ended: (planId) => {
    store.dispatch(workEnded(planId));
  },
  failed: (trouble) => {
    store.dispatch(storageFailed(trouble));
  },
  answered: () => {
    store.dispatch(storageAnswered());
    askOnce();
  },
});

/** The open plan with its history; undefined while none is open, or that of a batch is shown. */
export function heldNow(): Held | undefined {
  const { present, past, future, frozen } = store.getState().plan;
  return present && !frozen ? { plan: present, past, future } : undefined;
}

database.on('versionchange', (event) => {
  if (event.newVersion !== null) store.dispatch(storageFailed('replaced'));
});

let seen = store.getState().plan;
store.subscribe(() => {
  const now = store.getState().plan;
  // while something is dragged it is kept as it was, until it rests
  if (now === seen || now.moving) return;
  seen = now;
  const held = heldNow();
  if (held) keeper.changed(held);
});
