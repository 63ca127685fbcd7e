import type { Computed } from '../computed/compute.ts';
import type { MouldFacts } from '../advice/facts.ts';
import { heapedVolumes } from '../face/heapedVolumes.ts';
import { bodiesOf } from '../pattern/blocks.ts';

const onOne = (m: MouldFacts): object => {
  const heaps = bodiesOf(m).flatMap((b) =>
    b.kind === 'block' && b.block.content.kind === 'heaped'
      ? [{ block: b.block, content: b.block.content }]
      : [],
  );
  const shown = new Map<string, number>();
  for (const { block, content } of heaps)
    for (const [key, ml] of heapedVolumes(block, content)) shown.set(key, (shown.get(key) ?? 0) + ml);
  const wanted = new Map<string, number>();
  for (const t of m.tops) wanted.set(t.key, (wanted.get(t.key) ?? 0) + t.volumeMl);
  const errors = [...wanted].flatMap(([key, ml]) =>
    ml > 0 ? [Math.abs((shown.get(key) ?? 0) / ml - 1)] : [],
  );
  return {
    mould: m.use.id,
    copies: m.use.copies,
    // the worst of its deposits: as laid against what the pictures show
    volume_error_percent: Math.max(0, ...errors) * 100,
    parts: m.tops.map((t) => ({
      step: t.step.id,
      top: t.step.kind === 'ridges' ? 'ridges' : t.step.way.top,
      pot: t.pot ?? null,
      count: t.count,
      volume_ml: t.volumeMl,
      each_mould_g: t.massG,
    })),
    on_each_bar_g: m.cut.bars.map((b) => b.onTopG),
  };
};

/** All that is put on top, mould by mould. */
export const topsJson = ({ moulds }: Computed): readonly object[] => moulds.map(onOne);
