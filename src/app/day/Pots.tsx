import { potNamed } from '../../core/plan/sources.ts';
import type { Turn } from '../../core/making/screens.ts';
import type { Act } from '../../core/procedure/act.ts';
import { PotBadge } from '../parts/PotBadge.tsx';
import { useDay } from './dayContext.ts';

const SIZE = 56;

/** The letter of the jug in one's hand, on its colour. */
export function Pots({ act, turn }: { readonly act: Act; readonly turn: Turn | undefined }) {
  const { plan } = useDay().state;
  const pot = turn
    ? plan.pots.find((p) => p.letter === turn.letter)
    : (potNamed(plan, act.pot) ?? plan.second?.pots.find((p) => p.id === act.pot));
  const step = act.chapter === 'pour' && !turn ? act.step : undefined;
  return pot ? <PotBadge pot={pot} size={SIZE} {...(step === undefined ? {} : { pour: step })} /> : null;
}
