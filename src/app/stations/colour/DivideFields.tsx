import { Choice } from '../../kit/Choice.tsx';
import { Caution } from '../../parts/Caution.tsx';
import { usePlan } from '../../parts/usePlan.ts';

export const DIVIDED = {
  'after-emulsion': 'one batch, split after emulsion',
  'before-lye': 'portions ready before the lye',
} as const;

/** When the batch is divided: after it is an emulsion, or as portions made ready before the lye. */
export function DivideFields() {
  const { plan, edit } = usePlan();
  const { divide } = plan;
  return (
    <>
      <Choice
        legend="When the batch is divided"
        hideLegend
        value={divide.kind}
        options={[
          { value: 'after-emulsion', label: DIVIDED['after-emulsion'] },
          { value: 'before-lye', label: DIVIDED['before-lye'] },
        ]}
        onChoose={(kind) =>
          edit((p) => ({ ...p, divide: kind === 'before-lye' ? { kind, lye: 'together' } : { kind } }))
        }
      />
      {divide.kind === 'before-lye' && (
        <>
          <Choice
            legend="Lye solution goes in"
            value={divide.lye}
            options={[
              { value: 'together', label: 'to all at the start, largest first' },
              { value: 'jug-by-jug', label: 'jug by jug, as each layer is made' },
            ]}
            onChoose={(lye) => edit((p) => ({ ...p, divide: { kind: 'before-lye', lye } }))}
          />
          <Caution>
            Weigh each jug’s lye solution to the figure given: the portions only fit their own oils. Stir it
            first.
          </Caution>
        </>
      )}
    </>
  );
}
