import { Printer } from 'lucide-react';
import { barsText } from '../../../core/cut/barsText.ts';
import { formatPercent } from '../../../core/units/format.ts';
import { CHAPTER_TITLES, type Chapter, type Task } from '../../../core/sheet/procedure.ts';
import { procedureOf } from '../../../core/sheet/procedureOf.ts';
import { WarningCards } from '../../parts/WarningCards.tsx';
import { usePlan } from '../../parts/usePlan.ts';
import { LoafDrawing } from '../../section/LoafDrawing.tsx';
import { MouldRow } from './MouldRow.tsx';
import { usePaper } from './usePaper.ts';
import { SheetTask } from './SheetTask.tsx';
import { WallMarks } from './WallMarks.tsx';

/** Neighbouring tasks of one chapter under one heading, in order. */
function chapters(
  tasks: readonly Task[],
): readonly { readonly chapter: Chapter; readonly tasks: readonly Task[] }[] {
  const groups: { chapter: Chapter; tasks: Task[] }[] = [];
  for (const task of tasks) {
    const last = groups.at(-1);
    if (last?.chapter === task.chapter) last.tasks.push(task);
    else groups.push({ chapter: task.chapter, tasks: [task] });
  }
  return groups;
}

/** The whole job as an ordered list to print and to tick off. */
export function PourSheet() {
  const { plan, computed, show } = usePlan();
  const tasks = procedureOf(computed);
  const { weights } = computed;
  const several = computed.moulds.length > 1;
  usePaper(`${plan.name}: pour sheet`);
  if (!weights)
    return (
      <div className="grid gap-5 p-5">
        <h2 className="text-xl">Pour sheet</h2>
        <p>There is no sheet while something is refused: nobody should pour by these numbers.</p>
        <WarningCards warnings={computed.warnings.filter((w) => w.level === 'refuse')} />
      </div>
    );
  const cares = computed.warnings.filter((w) => w.level === 'warn');
  const number = new Map(tasks.map((t, i) => [t.id, i + 1]));
  return (
    <div className="grid gap-5 p-6 print:gap-3 print:p-0">
      <header className="flex items-start justify-between gap-4">
        <div>
          <h2 className="text-2xl">{plan.name}: pour sheet</h2>
          <p className="quiet">
            {show.mass(weights.batterG)} of batter · {show.lye(weights.lyeG)} lye ·{' '}
            {show.mass(weights.waterG)} water · superfat {formatPercent(weights.superfatPercent)} as weighed ·{' '}
            {plan.pots.length} pots · {barsText(computed.moulds)}
          </p>
        </div>
        <button
          type="button"
          className="btn no-print"
          onClick={() => {
            print();
          }}
        >
          <Printer className="size-4.5" aria-hidden="true" />
          Print
        </button>
        {!several && (
          <figure className="hidden w-64 shrink-0 print:block" aria-hidden="true">
            <LoafDrawing letters of={computed.moulds[0]} />
          </figure>
        )}
      </header>
      {several && <MouldRow />}
      {cares.length > 0 && <WarningCards warnings={cares} />}
      {chapters(tasks).map((group, i) => (
        <section key={`${group.chapter}-${i}`} aria-label={CHAPTER_TITLES[group.chapter]}>
          <h3 className="mb-1 text-base break-after-avoid text-accent print:text-black">
            {CHAPTER_TITLES[group.chapter]}
          </h3>
          <ol className="rule border-t">
            {group.tasks.map((task) => (
              <SheetTask key={task.id} task={task} number={number.get(task.id) ?? 0} />
            ))}
          </ol>
        </section>
      ))}
      {computed.moulds.map((m) => (
        <WallMarks key={m.use.id} of={m} />
      ))}
    </div>
  );
}
