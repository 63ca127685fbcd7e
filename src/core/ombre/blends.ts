import type { Grams } from '../units/quantity.ts';

/** A layer to be blended from the stocks of an ombre's two ends. */
export interface WantedBlend {
  /** part of the last colour's stock, 0..1 */
  readonly t: number;
  readonly massG: Grams;
  /** what was really poured, where it differed */
  readonly actualG?: Grams | undefined;
}

export interface Draw {
  readonly lastG: Grams;
  readonly firstG: Grams;
}

export interface Blends {
  readonly draws: readonly Draw[];
  /** stock to make, g, with what stays in its jug */
  readonly lastG: Grams;
  readonly firstG: Grams;
}

const sum = (list: readonly number[]): number => list.reduce((a, b) => a + b, 0);

/**
 * Draws from two stocks at the scale's step. The stocks are made for the plan; when a layer took more or less
 * than planned, the layers after it keep their ratios and share what both stocks can still give.
 */
export function blends(
  layers: readonly WantedBlend[],
  round: (massG: Grams) => Grams,
  lossPercent: number,
): Blends {
  const drawOf = (t: number, massG: Grams): Draw => {
    const lastG = round(t * massG);
    return { lastG, firstG: round(massG - lastG) };
  };
  const planned = layers.map((l) => drawOf(l.t, l.massG));
  const made = { last: sum(planned.map((d) => d.lastG)), first: sum(planned.map((d) => d.firstG)) };
  const loss = 1 + lossPercent / 100;
  const left = { ...made };
  let off = false;
  const draws = layers.map((layer, i): Draw => {
    let massG = layer.massG;
    if (off) {
      const rest = layers.slice(i);
      const parts = [
        [left.last, sum(rest.map((r) => r.t * r.massG))],
        [left.first, sum(rest.map((r) => (1 - r.t) * r.massG))],
      ] as const;
      const share = Math.min(...parts.map(([has, needs]) => (needs > 1e-9 ? has / needs : Infinity)));
      massG = round(layer.massG * (Number.isFinite(share) ? Math.max(0, share) : 1));
    }
    if (layer.actualG !== undefined) {
      massG = layer.actualG;
      off = true;
    }
    const draw = drawOf(layer.t, massG);
    left.last -= draw.lastG;
    left.first -= draw.firstG;
    return draw;
  });
  return { draws, lastG: round(made.last * loss), firstG: round(made.first * loss) };
}
