import { columnsIn } from '../../mould/column.ts';
import { mouldFacts } from '../telling.ts';
import { batchesIn, type Batch } from '../batches.ts';
import { toolsOf } from './laidOut.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { waitsForJug } from '../../day/order/ready.ts';
import type { TellFor } from './tells.ts';

/** Pots of a batch that want a jug of their own. */
const jugsOf = ({ plan, w }: Batch): readonly Pot[] =>
  w.pots.flatMap(({ pot, batterG }) => (batterG > 0 && !waitsForJug(plan, pot) ? [pot] : []));

export const tellBefore: TellFor<
  | 'protect'
  | 'read-data-sheets'
  | 'lay-out-mould'
  | 'lay-mat'
  | 'set-divider'
  | 'stand-columns'
  | 'lay-out-jugs'
  | 'lay-out-scales'
  | 'lay-out-tools'
  | 'lay-out-fragrance'
> = {
  protect: () => ({ deed: { does: 'protect' } }),
  'read-data-sheets': ({ w, computed: { plan } }) => ({
    deed: { does: 'read-data-sheets', fragrance: w.fragranceG > 0, colorants: plan.colorants.length > 0 },
  }),
  'lay-out-mould': (t, act) => {
    const { use, geometry } = mouldFacts(t, act.mould);
    return {
      deed: {
        does: 'lay-out-mould',
        name: t.names.get(use.id) ?? '',
        copies: use.copies,
        lined: use.mould.linerMm > 0,
        wideMm: geometry.floor.width,
        highMm: geometry.heightMm,
      },
    };
  },
  'lay-mat': (t, act) => {
    const { mat } = mouldFacts(t, act.mould).use.mould;
    return mat && { deed: { does: 'lay-mat', thicknessMm: mat.thicknessMm, reliefMm: mat.reliefMm } };
  },
  'set-divider': (t, act) => {
    const { divider } = mouldFacts(t, act.mould).use.mould;
    return divider && { deed: { does: 'set-divider', walls: divider.atMm.length, runs: divider.runs } };
  },
  'stand-columns': (t, act) => ({
    deed: { does: 'stand-columns', columns: columnsIn(mouldFacts(t, act.mould).use.mould) },
  }),
  'lay-out-jugs': (t) => {
    const jugs = batchesIn(t).map(jugsOf);
    const [letters = [], piped] = jugs.map((pots) => pots.map((p) => p.letter));
    const known = jugs
      .flat()
      .flatMap(({ letter, jug }) => (jug ? [{ letter, name: jug.name, tareG: jug.tareG }] : []));
    return {
      deed: {
        does: 'lay-out-jugs',
        letters,
        stocks: t.w.ombres.some((o) => o.school === 'master-blends'),
        known,
        ...(piped ? { piped } : {}),
      },
    };
  },
  'lay-out-scales': () => ({ deed: { does: 'lay-out-scales' } }),
  'lay-out-tools': (t) => {
    const tools = toolsOf(t);
    return tools.length > 0 ? { deed: { does: 'lay-out-tools', tools } } : undefined;
  },
  'lay-out-fragrance': (t) =>
    batchesIn(t).some(({ w }) => w.fragranceG > 0) ? { deed: { does: 'lay-out-fragrance' } } : undefined,
};
