import { Link } from 'react-router';
import { poursOfOmbre } from '../../../core/ombre/runs.ts';
import type { Pour } from '../../../core/plan/stepSchema.ts';
import { useBench } from '../../parts/usePlan.ts';

/** Which layer of which ombre a pour is, where it is one. */
export function OmbreLine({ pour }: { readonly pour: Pour }) {
  const { plan } = useBench();
  const ombre = plan.ombres.find((o) => o.id === pour.ombre?.id);
  if (!ombre) return null;
  const layers = poursOfOmbre(plan, ombre.id);
  const nth = layers.findIndex((p) => p.id === pour.id) + 1;
  return (
    <p className="text-sm">
      Layer {nth} of {layers.length} of the ombre{' '}
      <Link className="underline" to="../colour/ombre" relative="path">
        {ombre.name}
      </Link>
      : its shade comes from there.
    </p>
  );
}
