import type { MouldFacts } from '../advice/facts.ts';
import { simulatedVolumes } from '../face/simulatedVolumes.ts';
import { prepare } from '../flow/prepare.ts';
import { bodiesOf, type Block } from '../pattern/blocks.ts';
import { holeVolumeMl } from '../pattern/hole.ts';
import { heldKey } from '../plan/sources.ts';
import { finish } from '../task/task.ts';

function blockJson({ content, layers }: Block): object {
  const shown = simulatedVolumes(content, finish(prepare(content.spec)));
  const parts = layers.flatMap((l) =>
    l.parts.map((p) => ({ key: p.key, pot: p.pot.id, pouredMl: l.volumeMl * p.share })),
  );
  const all = parts.reduce((s, p) => s + p.pouredMl, 0);
  const shownAll = parts.reduce((s, p) => s + (shown.get(p.key) ?? 0), 0);
  const inHole = [...shown].filter(([key]) => key.startsWith(heldKey('')));
  return {
    steps: layers.map((l) => l.pour.id),
    volume_ml: all,
    hole_ml: holeVolumeMl(layers),
    // the worst of its deposits, as a part of the block: in against what the pictures show
    volume_error_percent:
      (Math.max(...parts.map((p) => Math.abs((shown.get(p.key) ?? 0) - p.pouredMl))) / Math.max(all, 1e-9)) *
      100,
    deposits: parts.map((p) => ({
      pot: p.pot,
      poured_ml: p.pouredMl,
      simulated_ml: shown.get(p.key) ?? 0,
      simulated_share_percent: ((shown.get(p.key) ?? 0) / Math.max(shownAll, 1e-9)) * 100,
    })),
    ...(inHole.length > 0
      ? {
          in_hole: inHole.map(([key, ml]) => ({ pot: key.slice(heldKey('').length), simulated_ml: ml })),
        }
      : {}),
  };
}

/** Blocks of batter that was pushed about, and how far what their pictures show is from what was poured. */
export const blocksJson = (facts: MouldFacts): readonly object[] =>
  bodiesOf(facts).flatMap((b) => (b.kind === 'block' ? [blockJson(b.block)] : []));
