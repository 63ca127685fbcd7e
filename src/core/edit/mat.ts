import { FIRST, isAbout, mouldOfStep, usesOf, type MouldUse } from '../plan/moulds.ts';
import type { Mat } from '../mould/schema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { leadPot } from '../plan/sources.ts';
import type { Ridges } from '../plan/stepSchema.ts';
import type { PotId, StepId } from '../validate/ids.ts';
import { addPot } from './pots.ts';
import { freshId } from './freshId.ts';
import { updateStep } from './step.ts';

/** A mat as it begins: thin rubber with shallow waves across the loaf. A judgement, no source. */
export const FIRST_MAT: Mat = {
  thicknessMm: 4,
  reliefMm: 2,
  shape: 'waves',
  pitchMm: 12,
  runs: 'lengthwise',
};

/** A mat on the floor of the first mould; none where undefined. */
export function setMat(plan: Plan, mat: Mat | undefined): Plan {
  const { mat: _was, ...mould } = plan.mould;
  return { ...plan, mould: mat ? { ...mould, mat } : mould };
}

/** Level layers on a mat whose hollows are filled with a tint of their own. */
export function onMat(layers: Plan): Plan {
  const { plan, potId } = addPot(setMat(layers, FIRST_MAT));
  const settled = settleMats(plan);
  const ridges = settled.steps.find((s) => s.kind === 'ridges');
  return ridges ? fillRidgesFrom(settled, ridges.id, potId) : settled;
}

/** Its hollows filled out of another pot. */
export const fillRidgesFrom = (plan: Plan, stepId: StepId, pot: PotId): Plan =>
  updateStep(plan, 'ridges', stepId, { pot });

/**
 * The moulds that are poured by the steps of one of them: itself, and with the first those that follow it.
 */
const pouredAs = (uses: readonly MouldUse[], owner: MouldUse): readonly MouldUse[] =>
  owner.id === FIRST ? uses.filter((u) => u.id === FIRST || u.design === 'as-first') : [owner];

/**
 * The step that fills the hollows under a mould's soap: as it was, or out of the pot that is poured first.
 */
function stepFor(plan: Plan, owner: MouldUse): Ridges {
  const own = plan.steps.find((s): s is Ridges => s.kind === 'ridges' && mouldOfStep(s) === owner.id);
  if (own) return own;
  const first = plan.steps.find((s) => s.kind === 'pour' && isAbout(owner, s));
  return {
    id: freshId('r', plan.steps),
    kind: 'ridges',
    ...(owner.id === FIRST ? {} : { mould: owner.id }),
    pot: first?.kind === 'pour' ? leadPot(first) : (plan.pots[0]?.id ?? ''),
  };
}

/**
 * Hollows are filled where there is a mat, before anything else, and nowhere else. The plan itself where
 * nothing is amiss.
 */
export function settleMats(plan: Plan): Plan {
  const uses = usesOf(plan);
  let settled = plan;
  for (const owner of uses) {
    if (owner.id !== FIRST && owner.design === 'as-first') continue;
    const wanted = pouredAs(uses, owner).some((u) => u.mould.mat);
    const isIts = (s: Plan['steps'][number]): boolean => s.kind === 'ridges' && mouldOfStep(s) === owner.id;
    const others = settled.steps.filter((s) => !isIts(s));
    const at = Math.max(
      0,
      others.findIndex((s) => s.kind !== 'finish' && mouldOfStep(s) === owner.id),
    );
    const steps = wanted ? others.toSpliced(at, 0, stepFor(settled, owner)) : others;
    const same = steps.length === settled.steps.length && steps.every((s, i) => s === settled.steps[i]);
    if (!same) settled = { ...settled, steps };
  }
  return settled;
}
