import { expect } from 'chai';
import { computePlan } from '../../src/core/computed/compute.ts';
import { singleBars } from '../../src/core/cut/singleBars.ts';
import { setTilt } from '../../src/core/edit/tilt.ts';
import { SIDES, sideOfBar, type Side } from '../../src/core/face/barFaces.ts';
import { noneReady, readyFrom } from '../../src/core/face/ready.ts';
import type { PouredLayer } from '../../src/core/fill/layers.ts';
import { clip } from '../../src/core/geometry/clip.ts';
import { volumeOf } from '../../src/core/geometry/volume.ts';
import { bodiesOf, isSimulated } from '../../src/core/pattern/blocks.ts';
import { faceAt } from '../../src/core/face/face.ts';
import type { FramedFace } from '../../src/core/face/framed.ts';
import { sectionAt } from '../../src/core/face/loafFaces.ts';
import { painted } from '../../src/core/face/painted.ts';
import { rasterise, SAMPLES } from '../../src/core/face/raster.ts';
import { picture } from '../../src/core/face/picture.ts';
import type { ViewPoint } from '../../src/core/mould/sectionView.ts';
import { finish } from '../../src/core/task/task.ts';
import { FACTS_TASKS } from '../../src/workers/factsTasks.ts';
import { createClient } from '../../src/workers/jobs/client.ts';
import { inThisThread } from '../../src/workers/jobs/twin.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';

const CUT = { thicknessMm: 25, kerfMm: 0, trimStartMm: 0, trimEndMm: 0 };

const area = (points: readonly ViewPoint[]): number =>
  Math.abs(
    points.reduce((s, p, i) => {
      const q = points[(i + 1) % points.length]!;
      return s + p.h * q.z - q.h * p.z;
    }, 0) / 2,
  );

const ready = readyFrom(noneReady());

describe('faces', () => {
  for (const plan of demoPlans())
    it(`of ${plan.name}: what the cuts show adds up to what was poured`, () => {
      const computed = computePlan(plan);
      const { stack, geometry } = computed;
      // what is scraped is told by its picture, not by outlines: see the scraped layers' own tests
      if (stack.layers.some((l) => l.scraping)) return;
      const bodies = bodiesOf(computed);
      const blocks = bodies.flatMap((b) => (b.kind === 'block' ? [b.block.layers] : []));
      const { length, width } = geometry.most;
      const slices = 400;
      for (const [view, along] of [
        ['section', length],
        ['side', width],
      ] as const) {
        const shownMl = new Map<string, number>();
        const stepMm = along / slices;
        for (let i = 0; i < slices; i += 1)
          for (const { pourId, outline } of faceAt(bodies, view, (i + 0.5) * stepMm - along / 2))
            shownMl.set(pourId, (shownMl.get(pourId) ?? 0) + (area(outline) * stepMm) / 1000);
        // a column's hole is shown filled
        const wholeMl = (l: PouredLayer): number =>
          l.volumeMl +
          l.blocked.reduce((s, b) => s + volumeOf(clip(b, { normal: l.up, offset: l.offset }).below), 0) /
            1000;
        for (const layer of stack.layers) {
          const block = blocks.find((b) => b.includes(layer));
          if (block && layer !== block.at(-1)) continue;
          const inIt = (block ?? [layer]).reduce((s, l) => s + wholeMl(l), 0);
          expect(shownMl.get(layer.pour.id)!, `${view} ${layer.pour.id}`).to.be.closeTo(inIt, 0.003 * inIt);
        }
      }
    });

  it('of a bar: two cuts and a top, each as large as the bar, the far one mirrored', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const { cut } = computed;
      for (const bar of singleBars(computed)) {
        const side = (which: Side): FramedFace => sideOfBar(computed, bar, which);
        const thick = bar.place.endMm - bar.place.startMm;
        expect(side('top').head - side('top').foot, plan.name).to.be.closeTo(thick, 1e-6);
        for (const which of SIDES) expect(side(which).face.length, which).to.be.above(0);
        // walls that lean make it wider, never narrower
        expect(side('near').right - side('near').left).to.be.at.least(bar.widthMm - 1e-6);
        // what is on the left of one cut is on the right of the other, where the loaf is the same all along
        if (
          bar.centre &&
          !isSimulated(plan) &&
          plan.steps.every((s) => s.kind !== 'tilt' || s.pitchDeg === 0)
        ) {
          const width = 20 * SAMPLES;
          const near = rasterise(side('near'), 20, 20, ready).band;
          const far = rasterise(side('far'), 20, 20, ready).band;
          const differ = near.filter(
            (n, i) => far[Math.floor(i / width) * width + width - 1 - (i % width)] !== n,
          );
          // but for samples that an edge goes through
          expect(differ.length, plan.name).to.be.below(0.02 * near.length);
        }
      }
      expect(singleBars(computed).length).to.equal(cut.count);
    }
  });

  it('bars of strips weigh together what their places weigh, and each has a place in the mould', () => {
    for (const plan of demoPlans()) {
      const computed = computePlan(plan);
      const bars = singleBars(computed);
      for (const place of computed.cut.bars) {
        const own = bars.filter((b) => b.place === place);
        const sum = own.reduce((s, b) => s + b.massG, 0);
        expect(sum).to.be.closeTo(place.massG * own.length, 1e-6);
      }
      expect(bars.some((b) => b.centre)).to.equal(true);
      expect(bars[0]!.beside).to.include('near end');
      expect(bars.at(-1)!.beside).to.include('far end');
    }
    // 27 bars of a slab, nine places of three strips: eight and twelve lie along walls, one is the very
    // middle
    const slab = singleBars(computePlan(demoPlans().find((p) => p.name === 'Chalk Scar')!));
    expect(slab.filter((b) => b.centre)).to.have.length(1);
    expect(slab.filter((b) => b.beside.length > 0)).to.have.length(27 - 7);
  });

  it('there are as many as are counted, in a cavity too, whatever strips the plan names', () => {
    for (const plan of demoPlans()) {
      const others = plan.others.map((o) => ({ ...o, cut: { ...o.cut, strips: 3 } }));
      for (const mould of computePlan({ ...plan, others, cut: { ...plan.cut, strips: 3 } }).moulds)
        expect(singleBars(mould).length, plan.name).to.equal(mould.cut.count);
    }
  });

  it('a mould that is full at one wall only gives heavier bars there', () => {
    const slope = setTilt(boxPlan([{ kind: 'percent', percent: 40 }], { cut: { ...CUT, strips: 2 } }), 's1', {
      rollDeg: 20,
      pitchDeg: 0,
    });
    const [left, right] = singleBars(computePlan(slope));
    // the right edge is up: batter stands higher on the left
    expect(left!.massG).to.be.above(1.5 * right!.massG);
  });

  it('in pixels: each layer’s part of a section is its part of the picture', () => {
    for (const plan of demoPlans().filter((p) => !isSimulated(p))) {
      const computed = computePlan(plan);
      const framed = sectionAt(computed, computed.geometry.most.length / 2);
      const { band, pours } = rasterise(framed, 240, 180, ready);
      // an edge is right to a row of samples
      const scale = Math.min(240 / (framed.right - framed.left), 180 / (framed.head - framed.foot));
      const row = 1 / ((framed.head - framed.foot) * scale * SAMPLES);
      const counts = pours.map(() => 0);
      for (const n of band) if (n > 0) counts[n - 1]! += 1;
      const whole = counts.reduce((x, y) => x + y, 0);
      const areas = framed.face.map((b) => area(b.outline));
      const sum = areas.reduce((x, y) => x + y, 0);
      for (const [i] of pours.entries())
        expect(band.filter((n) => n === i + 1).length / whole, plan.name).to.be.closeTo(areas[i]! / sum, row);
    }
  });

  it('colours come after: the same pixels in other colours, clear where nothing is', () => {
    const computed = computePlan(boxPlan([rest(1), rest(1)]));
    const raster = rasterise(sectionAt(computed, 10), 40, 60, ready);
    const [below, above] = raster.pours;
    const pixels = painted(
      raster,
      new Map([
        [below!, '#102030'],
        [above!, '#f0e0d0'],
      ]),
    );
    const at = (x: number, y: number): readonly number[] => [
      ...pixels.slice((y * 40 + x) * 4, (y * 40 + x) * 4 + 4),
    ];
    // 80 mm wide and 40 high in 40 x 60 pixels: from row 20 to row 40
    expect(at(20, 5)).to.deep.equal([0, 0, 0, 0]);
    expect(at(20, 24)).to.deep.equal([0xf0, 0xe0, 0xd0, 255]);
    expect(at(20, 36)).to.deep.equal([0x10, 0x20, 0x30, 255]);
  });

  it('a plan’s little picture is the same from a worker', async () => {
    const client = createClient<typeof FACTS_TASKS>(inThisThread(FACTS_TASKS));
    for (const plan of demoPlans()) {
      const here = finish(picture(plan));
      expect(await client.ask('picture', plan).outcome).to.deep.equal({ kind: 'done', value: here });
      const named = here.face.flatMap((b) => (b.swirl ? b.swirl.content.keys : [b.pourId]));
      expect(
        named.every((key) => /^#[0-9a-f]{6}$/.test(here.colours.get(key) ?? '') || key.includes('~')),
      ).to.equal(true);
    }
  });
});
