import { useMemo } from 'react';
import { CartesianGrid, ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis } from 'recharts';
import type { Foretold } from '../../../core/clock/foretold.ts';
import { STAGES } from '../../../core/setting/stage.ts';
import { Group } from '../../parts/Station.tsx';

const FIRM = 5;
const TIMES = 60;

/** Every pot that was looked at: as it was foretold, as it is foretold now, and what was seen. */
export function BeforeAndAfter({ pots }: { readonly pots: readonly Foretold[] }) {
  const lines = useMemo(
    () =>
      pots.map(({ pot, readings, before, now }) => {
        const until = Math.max(...readings.map((r) => r.min)) * 1.25 + 1;
        const rows = Array.from({ length: TIMES }, (_, i) => {
          const min = (until * i) / (TIMES - 1);
          return { min, before: Math.min(FIRM, before(min)), now: Math.min(FIRM, now(min)) };
        });
        return { pot, rows, dots: readings.map((r) => ({ min: r.min, seen: r.stage })), until };
      }),
    [pots],
  );
  return (
    <Group title="Foretold before, and now">
      <p className="quiet -mt-2 text-sm">
        Dashed: as it was foretold. Line: as it is foretold now. Rings: what you saw.
      </p>
      <div className="grid gap-3 sm:grid-cols-2">
        {lines.map(({ pot, rows, dots, until }) => (
          <figure key={pot.id}>
            <figcaption className="text-sm font-bold">
              {pot.letter}, {pot.name}
            </figcaption>
            <div
              role="img"
              aria-label={`Pot ${pot.letter}: ${dots.map((d) => `${STAGES[Math.round(d.seen)] ?? ''} at ${d.min} min`).join(', ')}`}
            >
              <ResponsiveContainer width="100%" height={190}>
                <ComposedChart
                  accessibilityLayer={false}
                  data={rows}
                  margin={{ left: 0, right: 12, top: 8, bottom: 4 }}
                >
                  <CartesianGrid stroke="var(--color-base-300)" />
                  <XAxis
                    dataKey="min"
                    type="number"
                    domain={[0, until]}
                    tickFormatter={(m: number) => String(Math.round(m))}
                    tick={{ fontSize: 12, fill: 'currentColor' }}
                    stroke="currentColor"
                    unit=" min"
                  />
                  <YAxis
                    domain={[0, 5]}
                    ticks={[0, 1, 2, 3, 4, 5]}
                    tickFormatter={(s: number) => STAGES[s] ?? ''}
                    width={74}
                    tick={{ fontSize: 12, fill: 'currentColor' }}
                    stroke="currentColor"
                  />
                  <Line
                    dataKey="before"
                    stroke="var(--color-secondary)"
                    strokeDasharray="5 4"
                    strokeWidth={2}
                    dot={false}
                    isAnimationActive={false}
                  />
                  <Line
                    dataKey="now"
                    stroke="var(--color-accent)"
                    strokeWidth={2.5}
                    dot={false}
                    isAnimationActive={false}
                  />
                  <Scatter
                    data={dots}
                    dataKey="seen"
                    fill="none"
                    stroke="var(--color-base-content)"
                    strokeWidth={2}
                    isAnimationActive={false}
                  />
                </ComposedChart>
              </ResponsiveContainer>
            </div>
          </figure>
        ))}
      </div>
    </Group>
  );
}
