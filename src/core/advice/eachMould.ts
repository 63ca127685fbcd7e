import type { MouldId } from '../validate/ids.ts';
import { inMould } from '../edit/inMould.ts';
import { ownDesign } from '../edit/moulds.ts';
import { FIRST, mouldNames, type MouldUse } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';
import { factsIn, type Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { remedy } from './/warning.ts';

/** An edit of one mould's part as a remedy of the whole plan; one that cannot be made changes nothing. */
const inThis = (mouldId: MouldId, { label, apply }: Remedy): Remedy =>
  remedy(label, (plan: Plan): Plan => {
    const done = inMould(mouldId, apply)(plan);
    return 'ok' in done ? plan : done;
  });

/**
 * What there is to say of every mould by itself, named where there are several. `ofDesign`: it is about the
 * pours, which are not a follower's own.
 */
export function inEachMould(
  facts: Facts,
  warn: (facts: Facts, use: MouldUse) => Warning[],
  { ofDesign }: { readonly ofDesign: boolean },
): Warning[] {
  if (facts.moulds.length === 1) return warn(facts, facts.moulds[0].use);
  const names = mouldNames(facts.plan);
  return facts.moulds.flatMap((mould) => {
    const { id, design } = mould.use;
    const own: Remedy[] = [remedy('Give it a design of its own', (p) => ownDesign(p, id))];
    return warn(factsIn(facts, mould), mould.use).map((w): Warning => ({
      ...w,
      ...(id === FIRST ? {} : { mould: id }),
      message: `${names.get(id) ?? ''}: ${w.message}`,
      remedies: ofDesign && design === 'as-first' ? own : (w.remedies ?? []).map((r) => inThis(id, r)),
    }));
  });
}
