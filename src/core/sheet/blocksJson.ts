import type { MouldFacts } from '../advice/facts.ts';
import { simulatedVolumes } from '../face/simulatedVolumes.ts';
import { prepare } from '../flow/prepare.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { scrapedVolumes } from '../face/scrapedVolumes.ts';
import { volumeOf } from '../geometry/volume.ts';
import { MM3_PER_ML } from '../mould/geometry.ts';
import { bodiesOf } from '../pattern/blocks.ts';
import type { Block, Body, Content } from '../pattern/body.ts';
import { holeVolumeMl } from '../pattern/hole.ts';
import { heldKey } from '../plan/sources.ts';
import { finish } from '../task/task.ts';

function movedJson({ layers }: Block, content: Extract<Content, { kind: 'moved' | 'tilted' }>): object {
  // sloping keeps its volumes: it is looked at as it would lie level
  const drawn = content.kind === 'moved' ? content.spec : content.tilted.level;
  // a line is drawn over what lies there
  const spec = { ...drawn, moves: drawn.moves.filter((m) => m.does !== 'line') };
  const shown = simulatedVolumes(content.keys, finish(prepare(spec)));
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
    in_hole:
      inHole.length > 0
        ? inHole.map(([key, ml]) => ({ pot: key.slice(heldKey('').length), simulated_ml: ml }))
        : undefined,
  };
}

/** Every pour that lies where layers were scraped: what stays of it, against what the pictures show of it. */
function scrapedJson({ stack }: MouldFacts, bodies: readonly Body[]): readonly object[] {
  const shownMl = new Map<string, number>();
  const inMoved = new Set<string>();
  let scraped = false;
  for (const body of bodies) {
    if (body.kind === 'layer') {
      const { id } = body.layer.pour;
      shownMl.set(id, (shownMl.get(id) ?? 0) + volumeOf(body.layer.solid) / MM3_PER_ML);
      continue;
    }
    const { content, layers } = body.block;
    if (content.kind === 'heaped') continue;
    if (content.kind === 'scraped') {
      scraped = true;
      for (const [key, ml] of scrapedVolumes(body.block, content))
        shownMl.set(key, (shownMl.get(key) ?? 0) + ml);
    } else for (const l of layers) inMoved.add(l.pour.id);
  }
  if (!scraped) return [];
  const pours = stack.layers.filter((l) => !inMoved.has(l.pour.id));
  const all = pours.reduce((s, l) => s + l.volumeMl, 0);
  const shown = (l: PouredLayer): number => shownMl.get(l.pour.id) ?? 0;
  const shownAll = pours.reduce((s, l) => s + shown(l), 0);
  return [
    {
      scraped: pours.flatMap((l) => (l.scraping ? [l.pour.id] : [])),
      volume_ml: all,
      volume_error_percent:
        (Math.max(0, ...pours.map((l) => Math.abs(shown(l) - l.volumeMl))) / Math.max(all, 1e-9)) * 100,
      deposits: pours.map((l) => ({
        pour: l.pour.id,
        stays_ml: l.volumeMl,
        simulated_ml: shown(l),
        simulated_share_percent: (shown(l) / Math.max(shownAll, 1e-9)) * 100,
      })),
    },
  ];
}

/**
 * Blocks of batter that was pushed about, and what was scraped, and how far what their pictures show is from
 * what was poured.
 */
export function blocksJson(facts: MouldFacts): readonly object[] {
  const bodies = bodiesOf(facts);
  const moved = bodies.flatMap((b) =>
    b.kind === 'block' && (b.block.content.kind === 'moved' || b.block.content.kind === 'tilted')
      ? [movedJson(b.block, b.block.content)]
      : [],
  );
  return [...moved, ...scrapedJson(facts, bodies)];
}
