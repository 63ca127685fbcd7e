import { useDay } from './dayContext.ts';
import { sayOnDay } from '../../store/day.ts';
import { stageFigure } from '../../core/setting/stage.ts';
import { startStage } from '../../core/clock/start.ts';
import { Foot } from './Foot.tsx';
import { Heading } from './Heading.tsx';
import { Timers } from './Timers.tsx';

/** Minute 0: the batter is as thick as it is divided at, and the clock of the pour begins. */
export function Divide({ onBack }: { readonly onBack: (() => void) | undefined }) {
  const { state, runs, computed } = useDay();
  return (
    <>
      <main className="mx-auto grid min-h-0 w-full max-w-4xl flex-1 content-start gap-5 overflow-y-auto px-4 py-6 sm:px-8">
        <Heading of="divided" over="Minute 0">
          The clock begins here
        </Heading>
        <p className="text-2xl leading-snug">
          Is the batter {stageFigure(startStage(state.plan))}? Everything stands ready: jugs, colours, the
          mould.
        </p>
        <p className="text-lg leading-snug">
          From this press on every minute counts from now
          {computed.clock && (
            <>: about {Math.round(computed.clock.totalMin)} min until the last act, an estimate</>
          )}
          .
        </p>
        <Timers />
      </main>
      <Foot
        go={runs ? 'Minute 0: divide it now' : undefined}
        onGo={() => void sayOnDay([{ does: 'divided' }])}
        onBack={onBack}
      />
    </>
  );
}
