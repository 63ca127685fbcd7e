import { mouldGeometry, type MouldGeometry } from '../mould/geometry.ts';
import { usesOf } from '../plan/moulds.ts';
import type { Plan } from '../plan/planSchema.ts';

export const openingOf = (geometry: MouldGeometry): number =>
  geometry.rooms.reduce((s, r) => s + r.openingMm2, 0);

/** How what is held back for the top is shared between the moulds: by their open surface, 0..1 by mould. */
export function topShares(plan: Plan): ReadonlyMap<string, number> {
  const open = usesOf(plan).map((u) => [u.id, openingOf(mouldGeometry(u.mould)) * u.copies] as const);
  const all = open.reduce((s, [, mm2]) => s + mm2, 0);
  return new Map(open.map(([id, mm2]) => [id, mm2 / all]));
}
