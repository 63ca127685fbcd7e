import { asFirst, ownDesign } from '../../../core/edit/moulds.ts';
import { FIRST, mouldNames } from '../../../core/plan/moulds.ts';
import { useMouldUse, usePlan } from '../../parts/usePlan.ts';
import { Button } from '../../kit/Button.tsx';

/**
 * Whether the mould on the bench is poured as the first one is, or by steps of its own. Nothing where there
 * is one mould.
 */
export function Follows() {
  const { plan, edit } = usePlan();
  const { use, follows } = useMouldUse();
  if (use.id === FIRST) return null;
  const first = mouldNames(plan).get(FIRST) ?? '';
  return follows ? (
    <div className="grid gap-2">
      <p className="text-sm">
        Poured as {first} is: every layer with the same share, at the same tilt. Change the layers there, or
        give this mould a design of its own.
      </p>
      <Button className="justify-self-start" onClick={() => edit((p) => ownDesign(p, use.id))}>
        A design of its own
      </Button>
    </div>
  ) : (
    <Button className="justify-self-start" onClick={() => edit((p) => asFirst(p, use.id))}>
      As {first} again
    </Button>
  );
}
