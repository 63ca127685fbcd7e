import { expect } from 'chai';
import { facetsOf } from '../../src/core/face/facets.ts';
import { drawnWallMm, fitFrame } from '../../src/app/section/frame.ts';
import { inkOn } from '../../src/app/parts/ink.ts';
import { bodiesOf } from '../../src/core/pattern/blocks.ts';
import { POT_COLOURS } from '../../src/core/edit/pots.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { boxPlan, demoPlans, rest } from '../support/plans.ts';

const area = (points: readonly (readonly [number, number])[]): number =>
  Math.abs(
    points.reduce((s, [x, y], i) => {
      const [u, v] = points[(i + 1) % points.length]!;
      return s + x * v - u * y;
    }, 0) / 2,
  );

describe('the loaf in three dimensions', () => {
  const bodies = bodiesOf(computePlan(boxPlan([rest(1), rest(2)])));

  it('from straight above shows its footprint, the last pour on top', () => {
    const facets = facetsOf(bodies, { azimuth: 0, elevation: 90 }, undefined);
    const top = facets.filter((f) => f.pourId === 's2');
    expect(top.reduce((s, f) => s + area(f.points), 0)).to.be.closeTo(8000, 1e-6);
    expect(facets.at(-1)!.pourId).to.equal('s2');
  });

  it('from the near end shows each layer’s face to scale', () => {
    const facets = facetsOf(bodies, { azimuth: 0, elevation: 0.0001 }, undefined);
    const faces = facets.filter((f) => area(f.points) > 10);
    expect(area(faces.find((f) => f.pourId === 's1')!.points)).to.be.closeTo(80 * 20, 0.1);
    expect(area(faces.find((f) => f.pourId === 's2')!.points)).to.be.closeTo(80 * 40, 0.1);
  });

  it('cut away shows the same face further in, and less of the top', () => {
    const whole = facetsOf(bodies, { azimuth: 0, elevation: 90 }, undefined);
    const cut = facetsOf(bodies, { azimuth: 0, elevation: 90 }, 0);
    const total = (facets: typeof whole): number =>
      facets.filter((f) => f.pourId === 's2').reduce((s, f) => s + area(f.points), 0);
    expect(total(cut)).to.be.closeTo(total(whole) / 2, 1e-6);
  });

  it('shows every layer of the slanted demo plan from the usual side', () => {
    const weir = bodiesOf(computePlan(demoPlans().find((p) => p.name === 'Copper Weir')!));
    const seen = new Set(facetsOf(weir, { azimuth: -38, elevation: 32 }, -60).map((f) => f.pourId));
    expect(seen.size).to.equal(weir.length);
  });
});

describe('the flat drawing', () => {
  it('keeps a tilted mould inside its margins, to one scale', () => {
    for (const degrees of [0, 12, -35, 60]) {
      const fit = { wide: 92, high: 80, wall: 12, width: 800, height: 600, degrees };
      const frame = fitFrame({ ...fit, margins: { left: 50, right: 200, top: 40, bottom: 50 } });
      for (const h of [-58, 58])
        for (const z of [-12, 80]) {
          const p = frame.turned({ h, z });
          expect(p.x, `${degrees}`).to.be.within(49.9, 600.1);
          expect(p.y, `${degrees}`).to.be.within(39.9, 550.1);
        }
    }
  });

  it('finds the mould point under the pointer', () => {
    const frame = fitFrame({
      wide: 92,
      high: 80,
      wall: 12,
      width: 800,
      height: 600,
      degrees: 17,
      margins: { left: 0, right: 0, top: 0, bottom: 0 },
    });
    const p = frame.turned({ h: -20, z: 33 });
    const back = frame.under(p.x, p.y);
    expect(back.h).to.be.closeTo(-20, 1e-9);
    expect(back.z).to.be.closeTo(33, 1e-9);
  });

  it('lifts the right edge for a positive roll', () => {
    const frame = fitFrame({
      wide: 92,
      high: 80,
      wall: 12,
      width: 800,
      height: 600,
      degrees: 10,
      margins: { left: 0, right: 0, top: 0, bottom: 0 },
    });
    expect(frame.turned({ h: 40, z: 0 }).y).to.be.below(frame.turned({ h: -40, z: 0 }).y);
  });

  it('draws thin walls thick enough to see', () => {
    expect(drawnWallMm({ ...boxPlan([rest()]).mould, wallMm: 0 })).to.equal(3);
  });
});

describe('ink on a soap colour', () => {
  const channel = (c: number): number => (c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4);
  const luminance = (hex: string): number =>
    [1, 3, 5].reduce(
      (s, at, i) => s + [0.2126, 0.7152, 0.0722][i]! * channel(parseInt(hex.slice(at, at + 2), 16) / 255),
      0,
    );
  const contrast = (a: string, b: string): number => {
    const [hi, lo] = [luminance(a), luminance(b)].sort((x, y) => y - x) as [number, number];
    return (hi + 0.05) / (lo + 0.05);
  };

  it('reaches 4.5 : 1 (WCAG 2.2 AA) on every starting colour and on any grey', () => {
    for (const { colour } of POT_COLOURS) expect(contrast(inkOn(colour), colour), colour).to.be.at.least(4.5);
    for (let v = 0; v < 256; v += 5) {
      const grey = `#${v.toString(16).padStart(2, '0').repeat(3)}`;
      expect(contrast(inkOn(grey), grey), grey).to.be.at.least(4.5);
    }
  });
});
