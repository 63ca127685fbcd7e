import { X } from 'lucide-react';
import { barsInAll } from '../../../core/cut/barsText.ts';
import { pouredIn } from '../../../core/weigh/scaled.ts';
import { addMould, removeMould } from '../../../core/edit/moulds.ts';
import { plural } from '../../../core/units/words.ts';
import { FIRST, inAll, mouldNames } from '../../../core/plan/moulds.ts';
import { mouldShown } from '../../../store/deskSlice.ts';
import { useAppDispatch } from '../../../store/store.ts';
import { Picker } from '../../parts/Picker.tsx';
import { Group } from '../../parts/Station.tsx';
import { useMouldUse, usePlan } from '../../parts/usePlan.ts';
import { useMouldChoice } from './useMouldChoice.ts';
import { IconButton } from '../../kit/IconButton.tsx';

const NONE = 'none';

/** What each of several moulds takes of the batch, and how many bars it gives. */
export function BatchMoulds() {
  const { plan, computed, edit, show } = usePlan('moulds');
  const { use } = useMouldUse();
  const dispatch = useAppDispatch();
  if (computed.moulds.length === 1) return null;
  const names = mouldNames(plan);
  return (
    <Group title="Moulds of this batch">
      <table className="w-full text-sm">
        <tbody>
          {computed.moulds.map((m) => {
            const { id, copies } = m.use;
            const name = names.get(id) ?? '';
            return (
              <tr key={id} className="rule border-b">
                <th scope="row" className="py-1 text-left font-normal">
                  <button
                    type="button"
                    aria-pressed={id === use.id}
                    className={`cursor-pointer text-left ${id === use.id ? 'font-bold' : 'underline'}`}
                    onClick={() => dispatch(mouldShown(id))}
                  >
                    {name}
                  </button>
                </th>
                <td className="px-2 text-right whitespace-nowrap">
                  {copies > 1 && `${copies} × `}
                  {show.mass(pouredIn(m))}
                </td>
                <td className="text-right whitespace-nowrap">{plural(m.cut.count * copies, 'bar')}</td>
                <td className="w-8 text-right">
                  {id !== FIRST && (
                    <IconButton
                      icon={X}
                      label={`Take ${name} out of this batch`}
                      onClick={() => edit((p) => removeMould(p, id))}
                    />
                  )}
                </td>
              </tr>
            );
          })}
          <tr className="font-bold">
            <th scope="row" className="py-1 text-left">
              In all
            </th>
            <td className="px-2 text-right whitespace-nowrap">
              {show.mass(inAll(computed.moulds, pouredIn))}
            </td>
            <td className="text-right whitespace-nowrap">{plural(barsInAll(computed.moulds), 'bar')}</td>
            <td />
          </tr>
        </tbody>
      </table>
    </Group>
  );
}

/** Another mould poured from the same batch: it is added, and this one stays as it is. */
export function MouldBeside() {
  const { plan, edit } = usePlan();
  const { moulds, options } = useMouldChoice();
  const dispatch = useAppDispatch();
  return (
    <>
      <p className="quiet text-sm">
        Poured from the same batch, which grows by it. The mould above stays as it is; each has its own tab at
        the drawing.
      </p>
      {plan.others.length < 5 && (
        <Picker
          label="Another mould from the same batch"
          value={NONE}
          options={[{ value: NONE, label: 'choose one to add' }, ...options]}
          onPick={(i) => {
            const mould = moulds[Number(i)];
            if (!mould) return;
            let added: string | undefined;
            edit((p) => {
              const more = addMould(p, mould);
              added = more.mouldId;
              return more.plan;
            });
            if (added !== undefined) dispatch(mouldShown(added));
          }}
        />
      )}
    </>
  );
}
