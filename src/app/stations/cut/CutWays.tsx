import { useEffect, useId, useMemo, useState } from 'react';
import { withWay } from '../../../core/cut/way.ts';
import { cutWays, type CutShown } from '../../../core/face/cutWays.ts';
import { depositColours } from '../../../core/ombre/coloursOf.ts';
import type { CutWay } from '../../../core/plan/planSchema.ts';
import { plural } from '../../../core/units/words.ts';
import { Loading } from '../../parts/Loading.tsx';
import { Group } from '../../parts/Station.tsx';
import { SEEN, useBench, useColours } from '../../parts/usePlan.ts';
import { useTask } from '../../parts/useTask.ts';
import { BarFace } from '../../section/BarFace.tsx';
import { patternClient } from '../../section/patternClient.ts';

const NAMES: Readonly<Record<CutWay['by'] | 'across', string>> = {
  across: 'Straight across',
  floor: 'In slices parallel to the floor',
  lengthwise: 'In slices along the loaf',
};

const NONE: readonly CutShown[] = [];

/** Much the same is no better. */
const CLEARLY = 1.15;

/**
 * Which of the ways shows most of the design, by its number; undefined while that is not known, or where none
 * clearly does.
 */
function useBest(ways: readonly CutShown[], colours: ReadonlyMap<string, string>): number | undefined {
  const key = useId();
  const [best, setBest] = useState<number>();
  useEffect(() => {
    if (ways.length === 0) return undefined;
    const job = patternClient.ask('contrasts', { faces: ways.map((w) => w.faces), colours }, { key });
    void job.outcome.then((outcome) => {
      if (outcome.kind !== 'done') return;
      const most = Math.max(...outcome.value);
      const next = Math.max(0, ...outcome.value.filter((v) => v < most));
      setBest(most > CLEARLY * next ? outcome.value.indexOf(most) : undefined);
    });
    return job.stop;
  }, [ways, colours, key]);
  return best;
}

/** The ways that the loaf can be cut, each by its middle bar: one press cuts it so. */
export function CutWays() {
  const { computed, plan, edit } = useBench(...SEEN);
  const colours = useColours();
  const told = useTask(computed, cutWays);
  const ways = told ?? NONE;
  const deposits = useMemo(() => depositColours(colours), [colours]);
  const best = useBest(ways, deposits);
  const now = plan.cut.way?.by ?? 'across';
  return (
    <Group title="Which way">
      {!told && <Loading says="Each way is cut…" />}
      <ul className="grid grid-cols-3 gap-2">
        {ways.map(({ way, cut, faces }, i) => {
          const by = way?.by ?? 'across';
          const [face] = faces;
          return (
            <li key={by}>
              <button
                type="button"
                aria-pressed={by === now}
                className={`grid h-full w-full cursor-pointer content-start justify-items-center gap-1 rounded-box border-2 p-2 text-sm ${by === now ? 'border-accent' : 'border-base-300 hover:border-base-content'}`}
                onClick={() => edit(withWay(way))}
              >
                {face && <BarFace face={face} top={false} width={92} height={84} />}
                <b className="leading-tight">{NAMES[by]}</b>
                <span className="quiet leading-tight">{plural(cut.count, 'bar')}</span>
                {i === best && <span className="leading-tight text-accent">shows most of the design</span>}
              </button>
            </li>
          );
        })}
      </ul>
    </Group>
  );
}
