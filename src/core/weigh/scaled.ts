import { rememberedLast } from '../task/remembered.ts';
import type { LaidMould, LaidPlan } from '../fill/laid.ts';
import type { LayerPart, PouredLayer, PouredStack } from '../fill/layers.ts';
import type { Grams } from '../units/quantity.ts';
import type { MouldId } from '../validate/ids.ts';
import type { Weights } from './weights.ts';

/** A part of a layer, with what the scale has for it in one mould; as planned while nothing is weighed. */
export interface ScaledPart extends LayerPart {
  readonly pouredG: Grams;
}

export interface ScaledLayer extends PouredLayer {
  readonly parts: readonly ScaledPart[];
  readonly pouredG: Grams;
}

export interface ScaledStack extends PouredStack {
  readonly layers: readonly ScaledLayer[];
}

/** One mould as it is laid, with what the scale has for every layer. */
export interface ScaledMould extends LaidMould {
  readonly stack: ScaledStack;
}

/** A whole plan laid and weighed: the figures that a maker pours by. */
export interface ScaledPlan extends LaidPlan {
  readonly stack: ScaledStack;
  readonly moulds: readonly [ScaledMould, ...ScaledMould[]];
}

/** Batter in one mould, as the scale has it, g. */
export const pouredIn = ({ stack }: { readonly stack: Pick<ScaledStack, 'layers'> }): Grams =>
  stack.layers.reduce((s, l) => s + l.pouredG, 0);

/**
 * What stays in one mould of a kind, of what a pour takes of one pot, as weighed; undefined where it is not
 * weighed.
 */
export function staysIn(weights: Weights | undefined): (mould: MouldId, key: string) => Grams | undefined {
  const pours = new Map(weights?.pots.flatMap((p) => p.pours.map((q) => [q.key, q.into] as const)));
  return (mould, key) => {
    const into = pours.get(key)?.find((i) => i.mould === mould);
    return into && into.eachG - into.offG;
  };
}

/** Stacks with their masses, while neither is another: what is drawn of one is remembered by it. */
const keptStack = rememberedLast<ScaledStack>();

/** The layers with the masses that the scale shows for them: one figure wherever a pour's amount stands. */
export function scaled(laid: LaidPlan, weights: Weights | undefined): ScaledPlan {
  const eachG = staysIn(weights);
  const stackOf = ({ stack, use }: LaidMould): ScaledStack =>
    keptStack(stack, [weights], () => ({
      ...stack,
      layers: stack.layers.map((l): ScaledLayer => {
        const parts = l.parts.map((p) => ({ ...p, pouredG: eachG(use.id, p.key) ?? p.plannedG }));
        return { ...l, parts, pouredG: parts.reduce((s, p) => s + p.pouredG, 0) };
      }),
    }));
  const inOne = (m: LaidMould): ScaledMould => ({ ...m, stack: stackOf(m) });
  const [first, ...others] = laid.moulds;
  const moulds = [inOne(first), ...others.map(inOne)] as const;
  return { ...laid, stack: moulds[0].stack, moulds };
}
