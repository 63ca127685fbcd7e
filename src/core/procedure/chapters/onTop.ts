import type { MouldFacts } from '../../advice/facts.ts';
import type { Computed } from '../../computed/compute.ts';
import type { WeighedPart } from '../../fill/topMass.ts';
import { SUPPLY } from '../../ledger/ledger.ts';
import { isAbout, mouldNames } from '../../plan/moulds.ts';
import { secondPot } from '../../plan/second.ts';
import type { Top } from '../../plan/stepSchema.ts';
import { toStep } from '../../units/scaleStep.ts';
import { ACT } from '../../weigh/acts.ts';
import type { Weights } from '../../weigh/weights.ts';
import type { Draft } from '../act.ts';
import type { Deed } from '../deeds.ts';
import { linesOf } from '../lines.ts';
import { colouring } from './colouring.ts';
import { colours } from './colours.ts';
import { lye } from './lye.ts';
import { lyeHeavyAt } from './lyeHeavy.ts';
import { oils } from './oils.ts';
import { oneBatch } from './oneBatch.ts';
import { beforePour, thickened } from './stirring.ts';
import { topLine } from './topping.ts';

/** Its vessels are others than the loaf's. */
const apart = (vessel: string): string => (vessel === SUPPLY ? vessel : `second:${vessel}`);

/** Acts of the second batch are told apart from those of the loaf's. */
const ofSecond = (draft: Draft): Draft => ({
  ...draft,
  ...(draft.lines ? { lines: draft.lines.map((l) => ({ ...l, from: apart(l.from), to: apart(l.to) })) } : {}),
  ...(draft.lyeHeavy
    ? {
        lyeHeavy: draft.lyeHeavy.map((h) => ({
          ...h,
          vessel: apart(h.vessel),
          until: h.until.map((a) => `second:${a}`),
        })),
      }
    : {}),
  id: `second:${draft.id}`,
  chapter: 'second',
  ofSecond: true,
});

/** The second batch from its lye to its bags. */
function makingSecond({ second }: Computed): Draft[] {
  const w = second?.weights;
  if (!second || !w) return [];
  const atTrace = new Set<string>();
  const bagged = w.pots.filter((p) => p.pours.length > 0);
  const drafts = colouring(second, w, [
    {
      id: 'begin',
      chapter: 'second' as const,
      deed: { does: 'begin-second' as const, massG: w.batterG, superfatPercent: w.superfatPercent },
    },
    ...lye(second, w),
    ...oils(second, w),
    ...colours(second, w),
    ...oneBatch(second, w),
    ...bagged.flatMap((p) => [
      ...thickened(second, w, p.pot, atTrace),
      ...p.pours.flatMap(({ stepId, key }) =>
        beforePour(second, w, { step: stepId, key, pot: p.pot }, `bag ${p.pot.letter}`),
      ),
    ]),
    {
      id: 'bags',
      chapter: 'second' as const,
      deed: {
        does: 'fill-bags' as const,
        bags: bagged.map(({ pot }) => ({ letter: pot.letter, name: pot.name, stage: pot.stage })),
      },
      lines: bagged.flatMap(({ pot, pours }) =>
        pours.flatMap((p) =>
          linesOf(second, w, ACT.pour(p.stepId)).map((l) => ({
            ...l,
            name: `Bag ${pot.letter}, ${pot.name}`,
          })),
        ),
      ),
    },
  ]);
  return lyeHeavyAt(second, w, drafts).map(ofSecond);
}

/** One thing on one mould, as it is told; nothing of a mould that it has no place on. */
function deedOn(
  { plan }: Computed,
  { tops, use }: MouldFacts,
  { id, way }: Top,
  mould: { readonly mould?: string },
): Deed | undefined {
  const own: readonly WeighedPart[] = tops.filter((t) => t.step.id === id);
  const all = own.reduce((s, t) => s + t.things.length, 0);
  const fineG = (g: number): number => toStep(g, plan.units.fineStepG);
  switch (way.top) {
    case 'mound': {
      const { runs, offMm, wideMm, heightMm } = way;
      return { does: 'mound', runs, offMm, wideMm, heightMm, copies: use.copies, ...mould };
    }
    case 'dents': {
      const { rows, perBar, acrossMm, depthMm } = way;
      return { does: 'dents', rows, perBar, acrossMm, depthMm, ...mould };
    }
    case 'piping':
      return {
        does: 'pipe',
        rows: way.rows.map((row, i) => ({
          letter: secondPot(plan, row.pot)?.letter ?? '',
          ...(row.perBar === undefined
            ? {}
            : { dollops: { perBar: row.perBar, all: own[i]?.things.length ?? 0 } }),
          acrossMm: row.acrossMm,
          heightMm: row.heightMm,
          offMm: row.offMm,
          massG: own[i]?.massG ?? 0,
        })),
        ...mould,
      };
    case 'pieces': {
      const { name, rows, perBar } = way;
      return { does: 'press-pieces', name, all, rows, perBar, massG: fineG(all * way.massG), ...mould };
    }
    case 'straws': {
      const { rows, perBar, acrossMm, deepMm } = way;
      return { does: 'stand-straws', all, rows, perBar, acrossMm, deepMm, ...mould };
    }
    case 'salt':
      return { does: 'strew-salt', massG: fineG(way.massG), ...mould };
  }
}

/** Everything that is put on top, in order; the batch that is piped is made before the first of it. */
export function onTop(computed: Computed, w: Weights): Draft[] {
  const { plan, moulds } = computed;
  const names = mouldNames(plan);
  let made = false;
  return plan.steps.flatMap((step): Draft[] => {
    if (step.kind !== 'top') return [];
    const first = step.way.top === 'piping' && !made;
    made ||= first;
    const on = moulds.filter((m) => isAbout(m.use, step));
    const lines = linesOf(computed, w, ACT.onTop(step.id)).map((l) => topLine(computed, l));
    const acts = on.flatMap((m, i): Draft[] => {
      const deed = deedOn(computed, m, step, moulds.length > 1 ? { mould: names.get(m.use.id) ?? '' } : {});
      if (!deed) return [];
      const id = i === 0 ? ACT.onTop(step.id) : `${ACT.onTop(step.id)}:${m.use.id}`;
      return [
        {
          id,
          chapter: 'top',
          step: step.id,
          deed,
          ...(step.way.top === 'mound' ? { pot: step.way.pot } : {}),
          lines: i === 0 ? lines : [],
        },
      ];
    });
    return [...(first ? makingSecond(computed) : []), ...acts];
  });
}
