import { grouped } from '../../ledger/grouped.ts';
import type { Pot } from '../../plan/planSchema.ts';
import type { Prepares, Quickens } from '../../timing/course.ts';
import type { PotId } from '../../validate/ids.ts';
import { LOOSEN_MIN, SCENT_STIRS } from '../../plan/habits.ts';
import type { CourseDraft } from './draft.ts';

/** Pots are scented with all the batch, at no cost of its own: those that get the same in one act. */
export function scentAtOnce(
  draft: CourseDraft,
  ids: readonly PotId[],
  quickensOf: (pot: PotId) => readonly Quickens[],
  ofSecond = false,
): void {
  const alike = grouped(ids, (id) => JSON.stringify(quickensOf(id)));
  for (const pots of alike.values()) {
    const [first] = pots;
    const quickens = first === undefined ? [] : quickensOf(first);
    if (quickens.length === 0) continue;
    draft.add(
      {
        does: 'scent',
        minutes: 0,
        pots: pots.map((p) => draft.numberOf(p, ofSecond)),
        quickens,
      },
      ofSecond ? { of: [], ofSecond } : { of: [] },
      'jugs',
    );
  }
}

/** Scent, blending on and stirring loose, right before a pot is drawn on. */
export function preparing(
  { habits }: Pick<CourseDraft, 'habits'>,
  place: number,
  pot: Pot | undefined,
  quickens: readonly Quickens[],
): readonly Prepares[] {
  if (quickens.length === 0 && pot?.blendTo === undefined && !pot?.loosened) return [];
  return [
    {
      pot: place,
      minutes: (quickens.length > 0 ? habits.scentMin : 0) + (pot?.loosened ? LOOSEN_MIN : 0),
      adds: quickens.length > 0 ? SCENT_STIRS : 0,
      quickens,
      ...(pot?.blendTo === undefined ? {} : { blendTo: pot.blendTo }),
      ...(pot?.loosened ? { loosens: true as const } : {}),
    },
  ];
}
