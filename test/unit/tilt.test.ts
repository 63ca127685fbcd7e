import { expect } from 'chai';
import fc from 'fast-check';
import { chevrons, finishLevel, levelAll, setTilt, slopeBetween, zigzag } from '../../src/core/edit/tilt.ts';
import { setAmount } from '../../src/core/edit/pours.ts';
import { readMouldFile, writeMouldFile } from '../../src/core/exchange/mouldFile.ts';
import { readPlanValue } from '../../src/core/exchange/planValue.ts';
import { wallMarksSvg, wallStrips } from '../../src/core/exchange/wallMarks.ts';
import { holeMl, mouldGeometry, volumeToHeight } from '../../src/core/mould/geometry.ts';
import { sameMould } from '../../src/core/mould/sameMould.ts';
import type { Mould } from '../../src/core/mould/schema.ts';
import { propsFor } from '../../src/core/mould/props.ts';
import { steepestTilt, tiltHolds } from '../../src/core/mould/spill.ts';
import { stackPours } from '../../src/core/mould/stack.ts';
import { STARTER_MOULDS } from '../../src/core/mould/starterMoulds.ts';
import { tiltOfProps } from '../../src/core/mould/propped.ts';
import { propHeight, tiltOfProp } from '../../src/core/mould/tilt.ts';
import type { Plan } from '../../src/core/plan/planSchema.ts';
import { stageToHoldSlope, yieldStress } from '../../src/core/setting/stage.ts';
import { computePlan } from '../../src/core/computed/compute.ts';
import { told } from '../support/told.ts';
import { boxPlan, demoPlans, rest, taperedPlan } from '../support/plans.ts';

const W = 80;
const L = 240;
const H = 70;
const box: Mould = {
  name: 'Box',
  material: 'wood',
  wallMm: 10,
  bowMm: 0,
  shape: { kind: 'box', lengthMm: L, widthMm: W, heightMm: H },
  linerMm: 0,
};
const rad = (degrees: number): number => (degrees * Math.PI) / 180;
const bare = (mould: Mould) => {
  const geometry = mouldGeometry(mould);
  const room = geometry.rooms[0];
  return { geometry, room, open: { space: room.solid, blocked: room.blocked } };
};
const layersOf = (plan: Plan) => computePlan(plan).stack.layers;
const tiltsOf = (plan: Plan): number[] => layersOf(plan).map((l) => l.tilt.rollDeg);
const codes = (plan: Plan): string[] => computePlan(plan).warnings.map((w) => w.code);
const find = (plan: Plan, code: string) => {
  const warning = computePlan(plan).warnings.find((w) => w.code === code);
  if (!warning) throw new Error(`no ${code} among ${codes(plan).join(', ')}`);
  return warning;
};

describe('moulds of other shapes, against closed forms', () => {
  it('a lying tube filled to h holds the circular segment: r^2 acos((r-h)/r) - (r-h) sqrt(2rh - h^2)', () => {
    const r = 45;
    const tube: Mould = {
      ...box,
      shape: { kind: 'tube', stands: 'lying', lengthMm: 300, diameterMm: 2 * r },
    };
    const { geometry } = bare(tube);
    expect(geometry.rimVolumeMl * 1000).to.be.closeTo(Math.PI * r * r * 300, 1e-6 * Math.PI * r * r * 300);
    for (const h of [20, 45, 63]) {
      const segment = r * r * Math.acos((r - h) / r) - (r - h) * Math.sqrt(2 * r * h - h * h);
      // 120 chords with the circle's area: the outline strays from the circle by at most 0.02 mm
      expect(volumeToHeight(geometry, h) * 1000).to.be.closeTo(segment * 300, 0.001 * Math.PI * r * r * 300);
    }
  });

  it('a half-round holds half a cylinder, a standing tube a whole one', () => {
    const half: Mould = { ...box, shape: { kind: 'half-round', lengthMm: 300, diameterMm: 90 } };
    expect(bare(half).geometry.rimVolumeMl).to.be.closeTo((Math.PI * 45 * 45 * 150) / 1000, 1e-6);
    const tube: Mould = {
      ...box,
      shape: { kind: 'tube', stands: 'standing', lengthMm: 250, diameterMm: 76 },
    };
    expect(volumeToHeight(bare(tube).geometry, 100)).to.be.closeTo((Math.PI * 38 * 38 * 100) / 1000, 1e-6);
  });

  it('an odd shape holds the water it was measured with (0.9982 g/ml at 20 °C)', () => {
    const odd: Mould = { ...box, shape: { kind: 'measured', waterG: 1000, lengthMm: 200, heightMm: 60 } };
    expect(bare(odd).geometry.rimVolumeMl).to.be.closeTo(1000 / 0.9982, 1e-9);
  });

  it('a bow of b adds two thirds of b x length x height', () => {
    const bowed = bare({ ...box, bowMm: 6 }).geometry.rimVolumeMl;
    expect(bowed - (W * L * H) / 1000).to.be.closeTo(((2 / 3) * 6 * L * H) / 1000, 1e-9);
  });

  it('a column keeps out its own cylinder, and pulling it leaves that hole', () => {
    const columns = [{ id: 'c1', form: 'round' as const, acrossMm: 40, xMm: 5, yMm: -20 }];
    const { geometry } = bare({ ...box, columns });
    expect(geometry.rimVolumeMl).to.be.closeTo((W * L * H - Math.PI * 400 * H) / 1000, 1e-6);
    expect(holeMl(geometry, 50)).to.be.closeTo((Math.PI * 400 * 50) / 1000, 1e-6);
  });

  it('pours round a column keep their volume, tilted or not', () => {
    const columns = [{ id: 'c1', form: 'square' as const, acrossMm: 30, xMm: 0, yMm: 0 }];
    const { room } = bare({ ...box, columns });
    const { layers } = stackPours(
      room,
      [12, -8, 0].map((rollDeg) => ({
        tilt: { rollDeg, pitchDeg: 3 },
        wish: { kind: 'volume' as const, volumeMl: 250 },
      })),
      0,
    );
    for (const layer of layers) expect(layer.volumeMl).to.be.closeTo(250, 1e-9);
    expect(layers[2]!.offset).to.be.above(0);
  });

  it('a divider parts the mould: compartments and walls add up to the whole', () => {
    const divider = { runs: 'crosswise' as const, atMm: [80, 170], thicknessMm: 3 };
    const { geometry } = bare({ ...box, divider });
    expect(geometry.rooms).to.have.length(3);
    expect(geometry.rimVolumeMl).to.be.closeTo((W * (L - 6) * H) / 1000, 1e-9);
  });
});

describe('tilted fills', () => {
  it('half a box, tilted any way, has its surface through the middle (closed form)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -55, max: 55, noNaN: true }),
        fc.double({ min: -55, max: 55, noNaN: true }),
        (rollDeg, pitchDeg) => {
          const { room } = bare(box);
          const [layer] = stackPours(
            room,
            [{ tilt: { rollDeg, pitchDeg }, wish: { kind: 'volume', volumeMl: (W * L * H) / 2000 } }],
            0,
          ).layers;
          expect(layer!.offset).to.be.closeTo(layer!.up[2] * (H / 2), 1e-9 * H);
        },
      ),
      { seed: 8, numRuns: 200 },
    );
  });

  it('with the right edge lifted the batter stands higher on the left wall', () => {
    const plan = setTilt(boxPlan([rest(1), rest(1)]), 's1', { rollDeg: 10, pitchDeg: 0 });
    const [first] = layersOf(plan);
    expect(first!.leftMm - first!.rightMm).to.be.closeTo(80 * Math.tan(rad(10)), 1e-6);
  });

  it('a tilted box holds what its closed form says before it spills, and no more', () => {
    const { room, open } = bare(box);
    for (const a of [5, 15, 30]) {
      const closed = (L * (W * H - (W * W * Math.tan(rad(a))) / 2)) / 1000;
      expect(tiltHolds(room, open, { rollDeg: a, pitchDeg: 0 })).to.be.closeTo(closed, 1e-6);
      expect(tiltHolds(room, open, { rollDeg: -a, pitchDeg: 0 })).to.be.closeTo(closed, 1e-6);
    }
  });

  it('finds the steepest tilt for a fill (closed form)', () => {
    const { room, open } = bare(box);
    const volume = 1000;
    const steepest = (Math.atan((2 * (W * H - (volume * 1000) / L)) / (W * W)) * 180) / Math.PI;
    expect(steepestTilt(room, open, { rollDeg: 4, pitchDeg: 0 }, volume)).to.be.closeTo(steepest, 0.02);
    expect(steepestTilt(room, open, { rollDeg: 4, pitchDeg: 0 }, 5)).to.equal(60);
  });

  it('needs a prop of B sin r, and a prop gives the tilt back', () => {
    expect(propHeight(115, 14)).to.be.closeTo(27.82, 0.005);
    expect(tiltOfProp(115, propHeight(115, 14))).to.be.closeTo(14, 1e-9);
    expect(tiltOfProp(50, 60)).to.equal(undefined);
    const props = propsFor(box, mouldGeometry(box), { rollDeg: -10, pitchDeg: 5 });
    expect(props.map((p) => p.under)).to.deep.equal(['left edge', 'far end']);
    expect(props[0]!.heightMm).to.be.closeTo(100 * Math.sin(rad(10)), 1e-9);
    expect(props[1]!.heightMm).to.be.closeTo(260 * Math.sin(rad(5)), 1e-9);
  });
});

describe('slants', () => {
  const four = () => boxPlan([rest(1), rest(1), rest(1), rest(1.4)]);

  it('zigzag tilts to one side and the other, finishes level, and keeps every volume', () => {
    const plan = four();
    const slanted = zigzag(plan, layersOf(plan), 'edge', 12);
    expect(tiltsOf(slanted)).to.deep.equal([12, -12, 12, 0]);
    for (const [i, layer] of layersOf(slanted).entries())
      expect(layer.volumeMl).to.be.closeTo(layersOf(plan)[i]!.volumeMl, 1e-6);
    expect(tiltsOf(levelAll(slanted, layersOf(slanted)))).to.deep.equal([0, 0, 0, 0]);
    expect(readPlanValue(slanted).ok).to.equal(true);
  });

  it('chevrons pour each layer in two halves from either side, the last one level', () => {
    const plan = four();
    const vees = chevrons(plan, layersOf(plan), 'edge', 10);
    expect(tiltsOf(vees)).to.deep.equal([10, -10, 10, -10, 10, -10, 0]);
    const layers = layersOf(vees);
    expect(layers[0]!.volumeMl + layers[1]!.volumeMl).to.be.closeTo(layersOf(plan)[0]!.volumeMl, 1e-6);
    // the surface after a pair is a V: higher at both walls than in the middle
    expect(layers[1]!.rightMm).to.be.closeTo(layers[0]!.leftMm, 6);
    expect(readPlanValue(vees).ok).to.equal(true);
  });

  it('finishes level, and takes out tilts that change nothing', () => {
    const tilted = setTilt(four(), 's1', { rollDeg: 8, pitchDeg: 0 });
    expect(tiltsOf(finishLevel(tilted))).to.deep.equal([8, 8, 8, 0]);
    expect(setTilt(tilted, 's1', { rollDeg: 0, pitchDeg: 0 }).steps.some((s) => s.kind === 'tilt')).to.equal(
      false,
    );
  });

  it('pours from a line on one wall to a line on the other', () => {
    const sloped = slopeBetween(four(), computePlan(four()).geometry.rooms[0], 's1', 28, 9);
    expect(sloped.ok).to.equal(true);
    if (!sloped.ok) return;
    const [first] = layersOf(sloped.value);
    expect(first!.leftMm).to.be.closeTo(28, 0.02);
    expect(first!.rightMm).to.be.closeTo(9, 1e-9);
    const steep = slopeBetween(
      taperedPlan([rest()]),
      computePlan(taperedPlan([rest()])).geometry.rooms[0],
      's1',
      70,
      0,
    );
    expect(steep.ok).to.equal(true);
  });

  it('heights at the walls, mass and share stay one', () => {
    const tilted = setTilt(four(), 's1', { rollDeg: 10, pitchDeg: 0 });
    const toMark = setAmount(tilted, 's1', { kind: 'line', wall: 'left', heightMm: 30 });
    const [byMark] = layersOf(toMark);
    expect(byMark!.leftMm).to.be.closeTo(30, 1e-9);
    const [byMass] = layersOf(
      setAmount(tilted, 's1', { kind: 'mass', massG: byMark!.volumeMl * byMark!.densityGMl }),
    );
    expect(byMass!.leftMm).to.be.closeTo(30, 1e-6);
    expect(byMass!.rightMm).to.be.closeTo(byMark!.rightMm, 1e-6);
    const [byShare] = layersOf(setAmount(tilted, 's1', { kind: 'percent', percent: byMark!.sharePercent }));
    expect(byShare!.leftMm).to.be.closeTo(30, 1e-6);
  });
});

describe('warnings of tilted pours', () => {
  const tilted = (roll: number, amounts = [rest(1), rest(1)]): Plan =>
    setTilt(boxPlan(amounts), 's1', { rollDeg: roll, pitchDeg: 0 });

  it('says by how many grams a pour spills, and each remedy cures it', () => {
    const plan = tilted(30, [rest(9), rest(1)]);
    const warning = find(plan, 'spills');
    expect(warning.level).to.equal('refuse');
    expect(warning.message).to.match(/spills by \d+ g.*steepest for this pour is \d+(\.\d)?°/);
    for (const remedy of warning.remedies!) {
      const cured = computePlan(remedy.apply(plan)).warnings.filter(
        (w) => w.code === 'spills' && w.step === 's1',
      );
      expect(cured, remedy.label).to.deep.equal([]);
    }
  });

  it('says when batter is too little to reach the high wall, and how much reaches it', () => {
    const plan = tilted(25, [{ kind: 'mass', massG: 40 }, rest(1)] as never);
    const warning = find(plan, 'short-of-wall');
    expect(warning.message).to.match(/right wall: it ends \d+(\.\d)? mm short\. \d+ g more reaches it/);
    expect(codes(warning.remedies![0]!.apply(plan)).filter((c) => c === 'short-of-wall')).to.have.length(0);
  });

  it('says when a level finish leaves a flat wedge, and cures it', () => {
    const low = tilted(20, [rest(2.3), rest(1)]);
    const plan = finishLevel({
      ...low,
      fill: { ...low.fill, to: { kind: 'height', heightMm: 30 } },
    });
    const warning = find(plan, 'flat-wedge');
    expect(warning.message).to.match(/left wall in a flat wedge/);
    const cured = computePlan(warning.remedies![0]!.apply(plan)).warnings.map((w) => w.code);
    expect(cured).to.not.include('flat-wedge');
  });

  it('says from which stage a slope holds, and waits for it', () => {
    const plan = finishLevel(tilted(14, [rest(1), rest(2)]));
    const warning = find(plan, 'slumps');
    expect(warning.message).to.match(/holds from .*\(\d(\.\d)? of 5\)/);
    const cured = warning.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('slumps');
    expect(cured.steps.map((s) => s.kind)).to.deep.equal(['tilt', 'pour', 'wait', 'tilt', 'pour']);
  });

  it('holds a slope when tau >= rho g H sin a', () => {
    const stage = stageToHoldSlope(30, 14, 1.01);
    expect(yieldStress(stage)).to.be.closeTo(1010 * 9.81 * 0.03 * Math.sin(rad(14)), 0.01);
    expect(stageToHoldSlope(0.1, 1, 1)).to.equal(0);
  });

  it('asks for batter to fill a column’s hole, and cures it', () => {
    const plan = boxPlan([rest()]);
    const withColumn = {
      ...plan,
      mould: {
        ...plan.mould,
        columns: [{ id: 'c1', form: 'square' as const, acrossMm: 30, xMm: 0, yMm: 0 }],
      },
    };
    const warning = find(withColumn, 'column-hole');
    expect(warning.message).to.match(/hole of 5\d g/);
    expect(codes(warning.remedies![0]!.apply(withColumn))).to.not.include('column-hole');
  });
});

describe('impossible moulds are refused at their field', () => {
  const withMould = (change: Partial<Mould>) =>
    readPlanValue({ ...boxPlan([rest()]), mould: { ...box, ...change } });
  const faultOf = (change: Partial<Mould>) => {
    const read = withMould(change);
    return read.ok ? undefined : read.faults[0];
  };

  it('a column wider than the mould', () => {
    const fault = faultOf({ columns: [{ id: 'c1', form: 'round', acrossMm: 90, xMm: 0, yMm: 0 }] });
    expect(fault).to.include({ code: 'column-outside', at: 'mould.columns.0.acrossMm' });
    expect(fault!.message).to.contain('90 mm').and.contain('80 mm');
    expect(faultOf({ columns: [{ id: 'c1', form: 'round', acrossMm: 30, xMm: 30, yMm: 0 }] })?.code).to.equal(
      'column-outside',
    );
  });

  it('a divider outside, or leaving no compartment', () => {
    for (const atMm of [[300], [2], [40, 44]])
      expect(faultOf({ divider: { runs: 'lengthwise', atMm, thicknessMm: 2 } })).to.include({
        code: 'divider-outside',
        at: 'mould.divider.atMm',
      });
  });

  it('a tilt beyond 60 degrees', () => {
    const steep = setTilt(boxPlan([rest()]), 's1', { rollDeg: 75, pitchDeg: 0 });
    const read = readPlanValue(steep);
    expect(!read.ok && read.faults[0].message).to.match(/75 ° is outside -60 to 60 °/);
  });
});

describe('compartments', () => {
  const divided: Plan = {
    ...boxPlan([rest(1), rest(1), rest(1)]),
    mould: { ...box, divider: { runs: 'lengthwise', atMm: [30], thicknessMm: 2 } },
  };
  const plan: Plan = {
    ...divided,
    steps: divided.steps.map((s) => (s.kind === 'pour' && s.id !== 's1' ? { ...s, compartment: 1 } : s)),
  };

  it('stack their own pours to the same height', () => {
    const layers = layersOf(plan);
    expect(layers[0]!.offset).to.be.closeTo(H, 1e-9);
    expect(layers[2]!.offset).to.be.closeTo(H, 1e-9);
    expect(layers[0]!.volumeMl).to.be.closeTo((29 * L * H) / 1000, 1e-6);
    expect(computePlan(plan).warnings.map((w) => w.code)).to.not.include('under-filled');
  });
});

describe('a compartment that nothing is poured into', () => {
  it('is said with its grams, and can get the same layers as the first', () => {
    const one = boxPlan([rest(1), rest(2)]);
    const plan: Plan = {
      ...one,
      mould: { ...box, divider: { runs: 'lengthwise', atMm: [40], thicknessMm: 2 } },
    };
    const warning = find(plan, 'compartment-empty');
    expect(warning.message).to.match(/compartment 2: 6\d\d g/);
    const cured = warning.remedies![0]!.apply(plan);
    expect(codes(cured)).to.not.include('compartment-empty');
    expect(layersOf(cured).map((l) => Number(l.offset.toFixed(3)))).to.deep.equal([23.333, 23.333, 70, 70]);
    expect(readPlanValue(cured).ok).to.equal(true);
  });
});

describe('what goes with a mould', () => {
  it('two moulds are the same whatever the order of their fields', () => {
    const turned = Object.fromEntries(Object.entries(box).toReversed()) as Mould;
    expect(sameMould(box, turned)).to.equal(true);
    expect(sameMould(box, { ...box, linerMm: 1 })).to.equal(false);
  });

  it('a mould file comes back as it was written, and a bad one names its field', () => {
    for (const mould of STARTER_MOULDS) {
      const read = readMouldFile(writeMouldFile(mould));
      expect(read.ok && read.value).to.deep.equal(mould);
    }
    const bad = readMouldFile(writeMouldFile({ ...box, linerMm: 40 }));
    expect(!bad.ok && bad.fault.at).to.equal('mould.linerMm');
    const plan = readMouldFile('{"format":"drip-line/plan","version":1}');
    expect(!plan.ok && plan.fault.message).to.contain('drip-line/mould');
  });

  it('wall marks are in true millimetres, measured along a leaning wall', () => {
    const computed = computePlan(taperedPlan([rest(1), rest(1)]));
    const [left] = wallStrips(computed);
    const lean = Math.hypot(1, 15 / 70);
    expect(left!.wallMm).to.be.closeTo(70 * lean, 1e-9);
    expect(left!.marks[0]!.alongMm).to.be.closeTo(computed.stack.layers[0]!.leftMm * lean, 1e-9);
    const svg = wallMarksSvg(computed, computed.plan.name);
    expect(svg).to.match(/^<svg [^>]*width="\d+mm" height="[\d.]+mm"/);
    expect(svg.match(/lined floor/g)).to.have.length(4);
  });

  it('wall marks that stand close are named one over another, and titles stand on the paper', () => {
    // twelve thin layers over a thick one: marks 1 to 3 mm apart
    const plan = boxPlan([rest(20), ...Array.from({ length: 12 }, () => rest(1))]);
    const computed = computePlan(plan);
    const title = 'A name of a plan that is longer than four strips are wide, as a maker may well give it';
    for (const laid of [
      computed,
      ...computePlan(demoPlans().find((p) => p.name === 'Thrift Ledge')!).moulds,
    ]) {
      const svg = wallMarksSvg(laid, title);
      const width = Number(/width="(\d+)mm"/.exec(svg)![1]);
      const texts = [
        ...svg.matchAll(
          /<text x="([\d.]+)" y="([-\d.]+)" font-size="([\d.]+)" text-anchor="(\w+)"[^>]*>([^<]*)</g,
        ),
      ];
      const byColumn = new Map<string, number[]>();
      for (const [, x = '', y = '', size = '', anchor, words = ''] of texts) {
        if (anchor === 'start' && words.includes(':'))
          expect(Number(x) + words.length * Number(size) * 0.5).to.be.below(width);
        if (size === '3' && /^\d+ [A-Z]/.test(words))
          byColumn.set(x, [...(byColumn.get(x) ?? []), Number(y)]);
      }
      for (const ys of byColumn.values()) {
        const sorted = ys.toSorted((a, b) => a - b);
        for (let i = 1; i < sorted.length; i += 1)
          expect(sorted[i]! - sorted[i - 1]!, laid.plan.name).to.be.at.least(3.5);
      }
    }
  });

  it('the procedure says what to prop, under which edge, how high, and to which marks', () => {
    const weir = computePlan(demoPlans().find((p) => p.name === 'Copper Weir')!);
    const texts = told(weir).map((t) => t.text);
    expect(
      texts.some((t) => /Prop the mould: 2\d(\.\d)? mm \(\d\.\d+ in\) under the right edge, 12°/.test(t)),
    ).to.equal(true);
    expect(texts.some((t) => /under the left edge, 10°/.test(t))).to.equal(true);
    expect(texts).to.include('Take the prop away and set the mould level.');
    expect(texts.some((t) => /to [\d.]+ mm on the left wall and [\d.]+ mm on the right/.test(t))).to.equal(
      true,
    );
    expect(weir.warnings).to.deep.equal([]);
  });

  it('moulds filled alike take the same from one batch', () => {
    const one = boxPlan([rest(1), rest(2)]);
    const three = { ...one, fill: { ...one.fill, copies: 3 } };
    const w1 = computePlan(one).weights!;
    const w3 = computePlan(three).weights!;
    expect(w3.batterG).to.equal(w1.batterG * 3);
    expect(w3.pots[0]!.pours[0]!.into[0]!.eachG).to.equal(w1.pots[0]!.pours[0]!.massG);
  });
});

describe('props that are too high', () => {
  it('are refused with their height and with what they stand under, across and along', () => {
    const foot = { widthMm: 100, lengthMm: 260 };
    const refused = (under: 'left-edge' | 'near-end', heightMm: number): string => {
      const read = tiltOfProps(foot, [{ under, heightMm }]);
      return read.ok ? 'taken' : read.fault.message;
    };
    expect(refused('left-edge', 99)).to.equal('99 mm is too high under a mould 100 mm wide');
    expect(refused('near-end', 258)).to.equal('258 mm is too high under a mould 260 mm long');
    expect(refused('left-edge', 30)).to.equal('taken');
    expect(refused('near-end', 80)).to.equal('taken');
  });
});
