import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { faceAt, faceOfBar } from '../../src/core/face/face.ts';
import { picture } from '../../src/core/face/picture.ts';
import type { ViewPoint } from '../../src/core/mould/sectionView.ts';
import { finish } from '../../src/core/task/task.ts';
import { FACTS_TASKS } from '../../src/workers/factsTasks.ts';
import { createClient } from '../../src/workers/jobs/client.ts';
import { inThisThread } from '../../src/workers/jobs/twin.ts';
import { demoPlans } from '../support/plans.ts';

const area = (points: readonly ViewPoint[]): number =>
  Math.abs(
    points.reduce((s, p, i) => {
      const q = points[(i + 1) % points.length]!;
      return s + p.h * q.z - q.h * p.z;
    }, 0) / 2,
  );

describe('faces', () => {
  for (const plan of demoPlans())
    it(`of ${plan.name}: what the cuts show adds up to what was poured`, () => {
      const { stack, geometry } = computePlan(plan);
      const { length, width } = geometry.most;
      const slices = 400;
      for (const [view, along] of [
        ['section', length],
        ['side', width],
      ] as const) {
        const shownMl = new Map<string, number>();
        const stepMm = along / slices;
        for (let i = 0; i < slices; i += 1)
          for (const { pourId, outline } of faceAt(stack.layers, view, (i + 0.5) * stepMm - along / 2))
            shownMl.set(pourId, (shownMl.get(pourId) ?? 0) + (area(outline) * stepMm) / 1000);
        for (const layer of stack.layers)
          expect(shownMl.get(layer.pour.id)!, `${view} ${layer.pour.id}`).to.be.closeTo(
            layer.volumeMl,
            0.003 * layer.volumeMl,
          );
      }
    });

  it('of a bar stand about its middle, and show its own layers in their pots’ letters', () => {
    for (const plan of demoPlans()) {
      const { stack, geometry, cut } = computePlan(plan);
      for (const bar of cut.bars) {
        const room = geometry.rooms[bar.piece.room]!;
        const face = faceOfBar(
          stack.layers.filter((l) => l.room === room),
          bar,
        ).filter((b) => b.outline.length > 0);
        expect(face.length).to.be.above(0);
        const hs = face.flatMap((b) => b.outline.map((p) => p.h));
        expect(Math.max(...hs) + Math.min(...hs), plan.name).to.be.closeTo(0, 0.5);
        for (const band of face) {
          const pour = plan.steps.find((s) => s.id === band.pourId);
          const pot = plan.pots.find((p) => pour?.kind === 'pour' && p.id === pour.pot);
          expect(band.letters).to.equal(pot!.letter);
        }
      }
    }
  });

  it('a plan’s little picture is the same from a worker', async () => {
    const client = createClient<typeof FACTS_TASKS>(inThisThread(FACTS_TASKS));
    for (const plan of demoPlans()) {
      const here = finish(picture(plan));
      expect(await client.ask('picture', plan).outcome).to.deep.equal({ kind: 'done', value: here });
      expect(here.face.every((b) => /^#[0-9a-f]{6}$/.test(here.colours.get(b.pourId) ?? ''))).to.equal(true);
    }
  });
});
