import { memo } from 'react';
import { Bar, BarChart, CartesianGrid, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { useOutlook } from '../../clock/outlookContext.ts';
import { Group } from '../../parts/Station.tsx';

const ROW = 44;

/**
 * What matters most: each assumption wrong by as much as it may well be, and the odds of the whole then.
 * Drawn anew with the odds alone.
 */
export const Matters = memo(function Matters() {
  const known = useOutlook();
  const { matters, odds } = known?.outlook ?? {};
  if (!matters || !odds) return null;
  const now = Math.round(odds.whole * 100);
  const rows = matters.map(({ name, less, more }) => {
    const ends = [less.whole, more.whole].map((w) => Math.round(w * 100));
    return {
      name,
      worse: [Math.min(now, ...ends), now],
      better: [now, Math.max(now, ...ends)],
      says: `${less.says}: ${ends[0] ?? now}; ${more.says}: ${ends[1] ?? now}`,
    };
  });
  return (
    <Group title="What matters most">
      <p className="quiet -mt-2 text-sm">
        Each assumption out by as much as it may well be, everything else as before: of a hundred times, so
        many hold then.
      </p>
      <div aria-hidden="true">
        <ResponsiveContainer width="100%" height={rows.length * ROW + 30}>
          <BarChart
            data={rows}
            layout="vertical"
            accessibilityLayer={false}
            margin={{ left: 0, right: 16, top: 0, bottom: 0 }}
            barGap={-14}
          >
            <CartesianGrid horizontal={false} stroke="var(--color-base-300)" />
            <XAxis
              type="number"
              domain={[0, 100]}
              tick={{ fontSize: 12, fill: 'currentColor' }}
              stroke="currentColor"
            />
            <YAxis
              type="category"
              dataKey="name"
              width={190}
              tick={{ fontSize: 12.5, fill: 'currentColor' }}
              stroke="none"
            />
            <Bar dataKey="worse" barSize={14} fill="var(--color-accent)" isAnimationActive={false} />
            <Bar dataKey="better" barSize={14} fill="var(--color-success)" isAnimationActive={false} />
            <ReferenceLine x={now} stroke="var(--color-base-content)" strokeWidth={2} />
          </BarChart>
        </ResponsiveContainer>
      </div>
      <ul className="grid gap-0.5 text-sm">
        {rows.map((r) => (
          <li key={r.name}>
            <span className="font-bold">{r.name}</span> <span className="quiet">– {r.says}</span>
          </li>
        ))}
      </ul>
    </Group>
  );
});
