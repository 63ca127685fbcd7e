import { setRough } from '../edit/pours.ts';
import { setPourStage } from '../edit/pattern.ts';
import type { PouredLayer } from '../fill/layers.ts';
import { canBeScraped } from '../pattern/blocks.ts';
import { leadPot, potNamed } from '../plan/sources.ts';
import { stageToKeepRidges } from '../setting/ridge.ts';
import { stagePhrase } from '../setting/stage.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** Ends of a surface are known to this, mm. */
const TOUCH = 0.05;

/** What there is to say of a layer that is to be left rough. */
function ofLayer(facts: Facts, layer: PouredLayer, roughMm: number): Warning[] {
  const { plan } = facts;
  const { pour, rough } = layer;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const about = { station: 'design', step: pour.id } as const;
  const smooth = remedy('Smooth it level', (p: Facts['plan']) => setRough(p, pour.id, 0));
  if (!rough || !canBeScraped(facts, layer))
    return [
      refuse(
        about,
        'rough-not-kept',
        rough
          ? 'What is left rough was poured into batter that was still fluid: it runs level with it.'
          : 'In a tilted mould a layer is not left rough: it is spooned up to a slope.',
        [smooth],
      ),
    ];
  const { crossesMm } = rough;
  const less = Math.floor((roughMm - 2 * crossesMm) * 2) / 2;
  const crosses: Warning[] =
    crossesMm > TOUCH
      ? [
          refuse(
            about,
            'rough-crosses',
            `${say(roughMm)} from hollow to peak: its hollows go ${say(crossesMm)} into what lies below it.`,
            [
              ...(less >= 0.5
                ? [remedy(`Only ${say(less)}`, (p: Facts['plan']) => setRough(p, pour.id, less))]
                : []),
              smooth,
            ],
          ),
        ]
      : [];
  const pot = potNamed(plan, leadPot(pour));
  const needed = stageToKeepRidges(roughMm, layer.densityGMl);
  const stage = Math.min(5, Math.ceil(needed * 10) / 10);
  const soft: Warning[] =
    pot && pot.stage < needed
      ? [
          warn(
            about,
            'rough-soft',
            `Heaps ${say(roughMm)} high stay once the batter is ${stagePhrase(needed)}; pot ${pot.letter} is poured when it is ${stagePhrase(pot.stage)}, and it would run level.`,
            [
              remedy(`Spoon it when it is ${stagePhrase(stage)}`, (p) => setPourStage(p, pour, stage)),
              smooth,
            ],
          ),
        ]
      : [];
  return [...crosses, ...soft];
}

export const roughWarnings = (facts: Facts): Warning[] =>
  facts.stack.layers.flatMap((l) =>
    l.pour.roughMm === undefined || l.scraping || l.notScraped ? [] : ofLayer(facts, l, l.pour.roughMm),
  );
