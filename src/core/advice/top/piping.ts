import { updatePot } from '../../edit/pots.ts';
import { inSecond } from '../../edit/second.ts';
import { setRow } from '../../edit/tops.ts';
import { inAll } from '../../plan/moulds.ts';
import { secondPot } from '../../plan/second.ts';
import type { Top } from '../../plan/stepSchema.ts';
import type { TopWay } from '../../plan/topSchema.ts';
import { stagePhrase } from '../../setting/stage.ts';
import { formatLength, formatMass } from '../../units/format.ts';
import type { Facts } from '../facts.ts';
import { refuse, remedy, warn, type Remedy, type Warning } from '../warning.ts';
import { type About, TOUCH, barsOf, floorHalf, narrowest, overCut } from './clear.ts';
import { PIPES } from '../../pattern/windows.ts';

/** Piped higher than so many times its foot, it leans. A judgement, no source. */
const TALLEST = 1.6;

/** Rows of dollops, or continuous ones. */
export function piped(
  facts: Facts,
  step: Top,
  about: About,
  way: Extract<TopWay, { top: 'piping' }>,
): Warning[] {
  const { plan } = facts;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const bars = barsOf(facts);
  const { wideMm, deepMm } = narrowest(bars);
  const rows = way.rows.flatMap((row, i): Warning[] => {
    const smaller = (mm: number): Remedy =>
      remedy(`Row ${i + 1}: ${say(mm)} across`, (p) => setRow(p, step.id, i, { acrossMm: mm }));
    const along =
      row.perBar === undefined || bars.length === 0
        ? []
        : overCut(
            facts,
            about,
            { count: row.perBar, acrossMm: row.acrossMm, roomMm: deepMm, what: `dollops of row ${i + 1}` },
            {
              fewer: (n) =>
                remedy(`Row ${i + 1}: ${n} to a bar`, (p) => setRow(p, step.id, i, { perBar: n })),
              smaller,
            },
          );
    const over = Math.abs(row.offMm) + row.acrossMm / 2 - wideMm / 2;
    const within = Math.max(0, floorHalf(wideMm / 2 - row.acrossMm / 2));
    const aside: Warning[] =
      bars.length > 0 && over > TOUCH
        ? [
            warn(
              about,
              'top-over-edge',
              `Row ${i + 1} hangs ${say(over)} over the edge of a bar, which is ${say(wideMm)} wide.`,
              row.acrossMm <= wideMm
                ? [
                    remedy(`Row ${i + 1} in to ${say(within)} off the middle`, (p) =>
                      setRow(p, step.id, i, { offMm: within * Math.sign(row.offMm) }),
                    ),
                  ]
                : [smaller(floorHalf(wideMm))],
            ),
          ]
        : [];
    const tall: Warning[] =
      row.heightMm > row.acrossMm * TALLEST
        ? [
            warn(
              about,
              'piping-tall',
              `Row ${i + 1} is ${say(row.heightMm)} high on a foot of ${say(row.acrossMm)}: it leans over.`,
              [
                remedy(`Row ${i + 1}: ${say(row.acrossMm)} high`, (p) =>
                  setRow(p, step.id, i, { heightMm: Math.min(80, row.acrossMm) }),
                ),
              ],
            ),
          ]
        : [];
    return [...along, ...aside, ...tall];
  });
  const thin = [...new Set(way.rows.map((r) => r.pot))].flatMap((id): Warning[] => {
    const pot = secondPot(plan, id);
    return pot && pot.stage < PIPES.least
      ? [
          warn(
            about,
            'piping-thin',
            `Pot ${pot.letter} is to be piped when it is ${stagePhrase(pot.stage)}: dollops run flat. They keep their shape from ${stagePhrase(PIPES.least)} on.`,
            [
              remedy(`Pipe it when it is ${stagePhrase(PIPES.least)}`, (p) => {
                const next = inSecond(
                  (part) => updatePot(part, id, { stage: PIPES.least }),
                  () => 1,
                )(p);
                return 'ok' in next ? p : next;
              }),
            ],
          ),
        ]
      : [];
  });
  return [...rows, ...thin, ...nothingToWeigh(facts, about, way)];
}

/**
 * What is piped of a pot in all is less than the scale shows: there would be no lye in it, and no line for
 * it.
 */
function nothingToWeigh(
  { plan, moulds }: Facts,
  about: About,
  { rows }: Extract<TopWay, { top: 'piping' }>,
): Warning[] {
  const { scaleStepG, mass } = plan.units;
  return [...new Set(rows.map((r) => r.pot))].flatMap((id): Warning[] => {
    const pot = secondPot(plan, id);
    const massG = inAll(moulds, (m) => m.tops.reduce((s, t) => s + (t.pot === id ? t.massG : 0), 0));
    if (!pot || massG >= scaleStepG) return [];
    return [
      refuse(
        about,
        'piping-too-small',
        `All that is piped of pot ${pot.letter} is ${formatMass(massG, mass, 0.01)}, less than the ${scaleStepG} g that the scale shows: it cannot be weighed. Make its rows larger, or weigh finer.`,
      ),
    ];
  });
}
