import { expect } from 'chai';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { noted, type Said } from '../../src/core/batch/note.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { writeBatchFile } from '../../src/core/exchange/batchFile.ts';
import { batchJson } from '../../src/core/making/batchJson.ts';
import { toCarryOut } from '../../src/core/making/order.ts';
import { PLAN_VERSION } from '../../src/core/plan/planVersion.ts';
import { procedureOf } from '../../src/core/procedure/procedureOf.ts';
import { demoPlans } from '../support/plans.ts';
import { written } from '../support/written.ts';

const PLAN = demoPlans().find((p) => p.name === 'Copper Weir')!;
const ACTS = toCarryOut(procedureOf(computePlan(PLAN)));

const PALER = {
  ...PLAN,
  name: 'Copper Weir, paler',
  steps: PLAN.steps.filter((s) => s.kind !== 'finish'),
  pots: PLAN.pots.map((p, i) => (i === 0 ? { ...p, name: 'Bone' } : p)),
};

interface Printed {
  readonly acts: number;
  readonly done: readonly { readonly act: string }[];
  readonly next: { readonly act: string; readonly text: string } | null;
  readonly minutes: number | null;
  readonly minutes_at_least: boolean;
  readonly holds_g: Readonly<Record<string, number>>;
  readonly ready: readonly object[];
  readonly ending: { readonly how: string } | null;
}

const folder = mkdtempSync(join(tmpdir(), 'batch-'));
const run = (text: string) => {
  const file = join(folder, 'a.dripline-batch.json');
  writeFileSync(file, text);
  return spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/batch.ts', file], { encoding: 'utf8' });
};

const doneUpTo = (id: string): readonly Said[] =>
  ACTS.slice(0, ACTS.findIndex((a) => a.id === id) + 1).map((a) => ({ does: 'done', act: a.id }));

describe('the headless batch', () => {
  it('prints how a batch stands: what is done and next, the minute, what every vessel holds', () => {
    const batch = written(
      PLAN,
      { does: 'ready', what: 'safety' },
      { does: 'ready', what: 'lay-out:fragrance', skipped: 'unscented' },
      ...doneUpTo('emulsify'),
      { does: 'divided' },
      { does: 'done', act: 'pot:p1' },
    );
    const { status, stdout } = run(writeBatchFile(batch));
    expect(status).to.equal(0);
    const printed = JSON.parse(stdout) as Printed;
    expect(printed.acts).to.equal(ACTS.length);
    expect(printed.done.map((d) => d.act)).to.deep.equal(
      [...doneUpTo('pot:p1')].map((s) => 'act' in s && s.act),
    );
    expect(printed.next!.act).to.equal('pot:p2');
    expect(printed.next!.text).to.match(/^Weigh out pot B/);
    // an event a minute
    expect([printed.minutes, printed.minutes_at_least]).to.deep.equal([1, false]);
    expect(printed.ready).to.deep.equal([
      { what: 'safety', skipped: null },
      { what: 'lay-out:fragrance', skipped: 'unscented' },
    ]);
    // the sheet: 1 087 g of oils and 523 g of lye solution, 570 g of it weighed out
    expect(printed.holds_g).to.include({ oils: 1040, 'pot:p1': 570, lye: 0 });
  });

  it('counts minutes by running clocks, and says where a wall clock that was set back makes them the least', () => {
    const batch = written(PLAN, ...doneUpTo('emulsify'), { does: 'divided' });
    const { at: divided } = batch.events.at(-1)!;
    const later = (utcMs: number) =>
      batchJson(
        noted(batch, { does: 'note', text: 'a look' }, { id: 'n', device: 'bench', at: { utcMs } }),
      ) as unknown as Printed;
    expect(later(divided.utcMs + 90_000).minutes).to.equal(1.5);
    const back = later(divided.utcMs - 3_600_000);
    expect([back.minutes, back.minutes_at_least]).to.deep.equal([0, true]);
  });

  it('says how it ended, and what an amended plan goes on with', () => {
    const over = batchJson(
      written(
        PLAN,
        ...doneUpTo('emulsify'),
        { does: 'amended', planVersion: PLAN_VERSION, plan: PALER },
        { does: 'finished', left: [{ vessel: 'pot:p1', massG: 4 }] },
      ),
    );
    expect(over).to.have.nested.property('plan.name', 'Copper Weir, paler');
    expect(over).to.have.property('acts', ACTS.length - 1);
    expect(over).to.have.nested.property('next.text').that.contains('Bone');
    expect(over).to.have.nested.property('ending.how', 'finished');
    expect(over).to.have.deep.nested.property('ending.left_g', { 'pot:p1': 4 });
  });

  it('refuses what is no batch with exit 2 and one line a fault', () => {
    for (const text of ['{}', writeBatchFile(written(PLAN)).slice(0, 300)]) {
      const { status, stderr, stdout } = run(text);
      expect([status, stdout]).to.deep.equal([2, '']);
      expect(stderr.trim().split('\n').at(-1)).to.match(/^\w+: .+/);
    }
  });
});
