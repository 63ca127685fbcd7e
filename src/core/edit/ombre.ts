import type { OmbreId, PotId, StepId } from '../validate/ids.ts';
import type { Colorant } from '../colorant/schema.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import { isShadeName } from '../ombre/shadeNames.ts';
import { shadesOf } from '../ombre/shades.ts';
import type { Mix, Ombre } from '../plan/ombreSchema.ts';
import type { Plan } from '../plan/planSchema.ts';
import { potsOf } from '../plan/sources.ts';
import type { Pour, Step } from '../plan/stepSchema.ts';
import { takeColorant, withoutUnused } from './colorants.ts';
import { freshId } from './freshId.ts';
import { isPoured, keepPots } from './pots.ts';
import { LANDING_FALL_MM, mapPour } from './pours.ts';
import { LEVEL } from '../mould/tilt.ts';
import { setTilt } from './tilt.ts';
import { repot } from './repot.ts';

/** Layers a new ombre begins with when the whole loaf is made anew. */
const FIRST_LAYERS = 8;

/** Fewer are no ombre, more are not worth a jug. */
export const LEAST_LAYERS = 2;
export const MOST_LAYERS = 24;

/**
 * Take out pots that nothing is poured from any more, what they held back with them; one pot always stays.
 */
function withoutIdlePots(plan: Plan): Plan {
  const pots = plan.pots.filter((p) => isPoured(plan, p.id));
  const kept = pots.length > 0 ? pots : plan.pots.slice(0, 1);
  return withoutUnused(keepPots(plan, kept));
}

export type OmbreGoes =
  /** the layers there are become its layers, with their amounts and tilts */
  | 'these-layers'
  /** the loaf is laid anew with even layers */
  | 'whole-loaf'
  /** new layers on top of those there are */
  | 'above';

/** Among layers that slope it goes along their slope, or the mould is set level for it first. */
export type OmbreLies = 'along' | 'level';

/** The mould level for an ombre: from its first layer on. */
export function setLevelFor(plan: Plan, ombreId: OmbreId): Plan {
  const [first, ...others] = poursOfOmbre(plan, ombreId);
  if (!first) return plan;
  const from = plan.steps.findIndex((s) => s.id === first.id);
  const own = new Set([first, ...others].map((p) => p.id));
  const last = plan.steps.findLastIndex((s) => own.has(s.id));
  const steps = plan.steps.filter((s, i) => s.kind !== 'tilt' || i < from || i > last);
  return setTilt({ ...plan, steps }, first.id, LEVEL);
}

/** A new ombre from plain batter to a colorant at its stated dose. */
export function startOmbre(
  plan: Plan,
  goes: OmbreGoes,
  to: Colorant,
): { readonly plan: Plan; readonly ombreId: OmbreId } {
  const ombreId = freshId('o', plan.ombres);
  const ombre: Ombre = {
    id: ombreId,
    name: to.name.replace(/ (mica|oxide)$/i, ''),
    school: 'one-pot',
    from: [],
    to: [{ colorant: to.id, doseGPerKg: to.nature.doseGPerKg }],
    spacing: { kind: 'even' },
    spacedAt: 'cured',
    measure: 'scale',
    stockLossPercent: 2,
  };
  const taken = takeColorant({ ...plan, ombres: [...plan.ombres, ombre] }, to);
  const potId = plan.pots[0]?.id ?? 'p1';
  const laid =
    goes === 'these-layers'
      ? {
          ...taken,
          steps: taken.steps.map((s) => (s.kind === 'pour' ? { ...s, ombre: { id: ombreId } } : s)),
        }
      : layNew(taken, ombreId, potId, goes);
  return { plan: withoutIdlePots(repot(laid, ombreId)), ombreId };
}

function layNew(plan: Plan, ombreId: OmbreId, potId: PotId, goes: 'whole-loaf' | 'above'): Plan {
  const rest = plan.steps.reduce(
    (sum, s) => sum + (s.kind === 'pour' && s.amount.kind === 'rest' ? s.amount.parts : 0),
    0,
  );
  const parts = goes === 'above' && rest > 0 ? rest / FIRST_LAYERS : 100;
  const firstPour = plan.steps.findIndex((s) => s.kind === 'pour');
  const kept: readonly Step[] =
    goes === 'above'
      ? plan.steps.filter((s) => s.kind !== 'finish')
      : plan.steps.filter((s, i) => s.kind === 'tilt' && i < firstPour);
  let steps = [...kept];
  for (let i = 0; i < FIRST_LAYERS; i += 1)
    steps = [
      ...steps,
      {
        id: freshId('s', [...plan.steps, ...steps]),
        kind: 'pour',
        pot: potId,
        compartment: 0,
        amount: { kind: 'rest', parts },
        locked: false,
        landing: { how: 'spatula', fallMm: LANDING_FALL_MM.spatula },
        ombre: { id: ombreId },
      },
    ];
  return { ...plan, steps: [...steps, ...plan.steps.filter((s) => s.kind === 'finish')] };
}

/**
 * Change an ombre; its layers move to the pots its school asks for. What was really poured stays only where
 * it still fits.
 */
export function updateOmbre(plan: Plan, ombreId: OmbreId, change: Partial<Omit<Ombre, 'id'>>): Plan {
  const changed = {
    ...plan,
    ombres: plan.ombres.map((o) => (o.id === ombreId ? { ...o, ...change } : o)),
  };
  return change.school === undefined && change.from === undefined && change.to === undefined
    ? changed
    : withoutUnused(repot(changed, ombreId));
}

/** The first colour is the last one, and the other way round. */
export function swapEnds(plan: Plan, ombreId: OmbreId): Plan {
  const ombre = plan.ombres.find((o) => o.id === ombreId);
  return ombre ? updateOmbre(plan, ombreId, { from: ombre.to, to: ombre.from }) : plan;
}

/** An ombre under another name; its pots go with it, but for those that their maker named. */
export function renameOmbre(plan: Plan, ombreId: OmbreId, name: string): Plan {
  const was = plan.ombres.find((o) => o.id === ombreId);
  if (!was) return plan;
  const own = new Set(poursOfOmbre(plan, ombreId).flatMap(potsOf));
  return {
    ...updateOmbre(plan, ombreId, { name }),
    pots: plan.pots.map((p) =>
      own.has(p.id) && (p.name === was.name || isShadeName(p.name, was))
        ? { ...p, name: `${name}${p.name.slice(was.name.length)}`.slice(0, 60) }
        : p,
    ),
  };
}

/** One end of an ombre, with the colorants of the library it needs. */
export const setEnd = (
  plan: Plan,
  ombreId: OmbreId,
  end: 'from' | 'to',
  mix: Mix,
  colorants: readonly Colorant[] = [],
): Plan => updateOmbre(colorants.reduce(takeColorant, plan), ombreId, { [end]: mix });

/** Add layers like the last one after it, or take the last ones out. */
export function setLayers(plan: Plan, ombreId: OmbreId, layers: number): Plan {
  const pours = poursOfOmbre(plan, ombreId);
  const last = pours.at(-1);
  if (!last || layers < 1) return plan;
  const gone = new Set(pours.slice(layers).map((p) => p.id));
  let steps = plan.steps.filter((s) => !gone.has(s.id));
  for (let i = pours.length; i < layers; i += 1) {
    const at = steps.findLastIndex((s) => s.kind === 'pour' && s.ombre?.id === ombreId) + 1;
    const more: Pour = { ...last, id: freshId('s', steps), locked: false, ombre: { id: ombreId } };
    steps = steps.toSpliced(at, 0, more);
  }
  return withoutIdlePots(repot({ ...plan, steps }, ombreId));
}

/** Where an ombre restarts or turns back: at this pour, or no longer. */
export function setTurn(plan: Plan, pourId: StepId, turn: 'restart' | 'reverse' | 'none'): Plan {
  const pour = plan.steps.find((s) => s.kind === 'pour' && s.id === pourId);
  if (pour?.kind !== 'pour' || !pour.ombre) return plan;
  const { id } = pour.ombre;
  return repot(
    mapPour(plan, pourId, (p) => ({ ...p, ombre: turn === 'none' ? { id } : { id, turn } })),
    id,
  );
}

/** Layers that stay as they look, each in a pot of its own with its own dose; the ombre itself goes. */
export function takeApart(plan: Plan, ombreId: OmbreId): Plan {
  const separate = updateOmbre(plan, ombreId, { school: 'separate-pots' });
  const ombre = separate.ombres.find((o) => o.id === ombreId);
  if (!ombre) return plan;
  const mixes = new Map(shadesOf(separate, ombre).map((s) => [s.pot, s.mix] as const));
  return {
    ...separate,
    ombres: separate.ombres.filter((o) => o.id !== ombreId),
    pots: separate.pots.map((p) => {
      const mix = mixes.get(p.id);
      return mix
        ? {
            ...p,
            colorants: mix
              .filter((m) => m.doseGPerKg > 0)
              .map((m) => ({ ...m, doseGPerKg: Number(m.doseGPerKg.toFixed(3)) })),
          }
        : p;
    }),
    steps: separate.steps.map((s) => {
      if (s.kind !== 'pour' || s.ombre?.id !== ombreId) return s;
      const { ombre: _ombre, ...rest } = s;
      return rest;
    }),
  };
}
