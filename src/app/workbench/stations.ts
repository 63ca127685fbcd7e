import type { Station } from '../../core/advice/warning.ts';
import { barsInAll } from '../../core/cut/barsText.ts';
import { plural } from '../../core/units/words.ts';
import { inAll } from '../../core/plan/moulds.ts';
import type { Computed } from '../../core/computed/compute.ts';
import { ofHundred } from '../clock/ofHundred.ts';
import { DOUBTFUL, type OddsShown } from '../clock/useOdds.ts';
import { formatMinutes, formatNumber, formatPercent } from '../../core/units/format.ts';
import type { Show } from '../parts/useShow.ts';

export interface StationEntry {
  readonly station: Station;
  readonly name: string;
  /** one line of what is settled there */
  readonly line: (computed: Computed, show: Show, odds: OddsShown) => string;
}

const SHAPES = {
  box: 'box',
  tapered: 'tapered',
  'half-round': 'half-round',
  tube: 'tube',
  measured: 'by water',
} as const;

/** The stations in the order the work is done. */
export const STATIONS: readonly StationEntry[] = [
  {
    station: 'mould',
    name: 'Mould',
    line: (c, show) =>
      c.moulds.length > 1
        ? plural(
            inAll(c.moulds, () => 1),
            'mould',
          ) + ` of ${c.moulds.length} kinds`
        : `${show.volume(c.geometry.rimVolumeMl)}, ${SHAPES[c.plan.mould.shape.kind]}`,
  },
  {
    station: 'design',
    name: 'Design',
    line: (c) => {
      const tilts = c.plan.steps.filter((s) => s.kind === 'tilt').length;
      const pours = c.plan.steps.filter((s) => s.kind === 'pour').length;
      const rounds = c.plan.steps.find((s) => s.kind === 'pour' && s.pattern && s.pattern.rounds.length > 1);
      if (rounds?.kind === 'pour' && rounds.pattern)
        return `${pours > 1 ? `${plural(pours, 'pour')}, ` : ''}${rounds.pattern.rounds.length} rounds of ${rounds.pattern.then.length + 1}`;
      return plural(pours, 'pour') + (tilts > 0 ? `, ${plural(tilts, 'tilt')}` : '');
    },
  },
  {
    station: 'batter',
    name: 'Batter',
    line: (c) =>
      c.recipe
        ? `${formatNumber(c.recipe.schools.lyeConcentrationPercent, 0)} % lye, ${formatPercent(c.plan.batter.superfatPercent)} superfat${c.second ? '; piping apart' : ''}`
        : 'no oils yet',
  },
  {
    station: 'colour',
    name: 'Colour',
    line: (c) =>
      plural(c.plan.pots.length, 'pot') +
      (c.second ? `, ${plural(c.second.plan.pots.length, 'bag')}` : '') +
      (c.plan.ombres.length > 0 ? `, ${plural(c.plan.ombres.length, 'ombre')}` : ''),
  },
  {
    station: 'clock',
    name: 'Clock',
    line: (c, _show, odds) => {
      if (!c.clock) return 'no recipe yet';
      return odds.kind === 'known'
        ? `holds ${ofHundred(odds.odds.whole)}`
        : `≈ ${formatMinutes(c.clock.totalMin)}`;
    },
  },
  {
    station: 'sheet',
    name: 'Sheet',
    line: (c, _show, odds) => {
      if (!c.weights) return 'refused for now';
      if (c.warnings.some((w) => w.code === 'painted-only')) return 'without colour';
      if (!c.clock) return 'ready';
      return odds.kind === 'known' && odds.odds.whole < DOUBTFUL
        ? `holds ${ofHundred(odds.odds.whole)}`
        : 'ready';
    },
  },
  {
    station: 'cut',
    name: 'Cut',
    line: (c, show) =>
      c.moulds.length > 1
        ? plural(barsInAll(c.moulds), 'bar')
        : `${plural(c.cut.count, 'bar')} of ${show.length(c.plan.cut.thicknessMm)}`,
  },
];
