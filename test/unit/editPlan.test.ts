import { expect } from 'chai';
import { selectBehind, selectWork } from '../../src/store/computed.ts';
import { editPlan } from '../../src/store/editPlan.ts';
import { Gesture } from '../../src/store/gesture.ts';
import { planOpened } from '../../src/store/planSlice.ts';
import { store } from '../../src/store/store.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { largePlan } from '../support/largePlan.ts';

const present = (): Plan => store.getState().plan.present!;

/** What the page shows; asking begins to work out what is newer. */
const shown = (): Plan => selectWork(store.getState())!;

async function caughtUp(): Promise<void> {
  shown();
  while (selectBehind(store.getState())) await new Promise((go) => setTimeout(go, 20));
}

/** As a panel does it: all sizes of the mould as it shows them, one of them changed. */
function sized(sizes: { readonly lengthMm?: number; readonly widthMm?: number }, gesture?: Gesture): void {
  const { mould } = shown();
  const shape = { ...mould.shape, ...sizes } as typeof mould.shape;
  store.dispatch(editPlan((p) => ({ ...p, mould: { ...p.mould, shape } }), gesture));
}

describe('an edit of a plan that is still being worked out', () => {
  it('loses nothing that was changed before it could be seen', async function () {
    this.timeout(60_000);
    store.dispatch(planOpened({ plan: largePlan() }));
    await caughtUp();
    sized({ lengthMm: 260 });
    expect(shown().mould.shape, 'it takes a while').to.not.deep.equal(present().mould.shape);
    const typing = new Gesture();
    sized({ widthMm: 8 }, typing);
    sized({ widthMm: 81 }, typing);
    expect(present().mould.shape).to.include({ lengthMm: 260, widthMm: 81 });
    // a figure that is typed anew is the last one, also where that is the one before
    sized({ widthMm: 8 }, typing);
    sized({ widthMm: 81 }, typing);
    expect(present().mould.shape).to.include({ lengthMm: 260, widthMm: 81 });
    await caughtUp();
    expect(shown().mould.shape).to.include({ lengthMm: 260, widthMm: 81 });
  });

  it('gives a plan its first name again, whether or not it is worked out', async function () {
    this.timeout(60_000);
    const plan = largePlan();
    store.dispatch(planOpened({ plan }));
    await caughtUp();
    for (const lengthMm of [undefined, 255]) {
      if (lengthMm !== undefined) sized({ lengthMm });
      for (const name of ['Other', plan.name]) store.dispatch(editPlan((p) => ({ ...p, name })));
      expect(present().name).to.equal(plan.name);
    }
  });
});
