import { removeStep } from '../edit/pours.ts';
import { updateScrape, waitBeforeScrape, waitedToKeep } from '../edit/scrape.ts';
import { waitBefore } from '../edit/waits.ts';
import type { PouredLayer } from '../fill/layers.ts';
import type { NotScraped, Scraping } from '../fill/scraped.ts';
import { canBeScraped } from '../pattern/blocks.ts';
import { nextPour, layerUnder, scrapesOf } from '../plan/scrapes.ts';
import { isFrom, leadPot, potNamed, potsOf } from '../plan/sources.ts';
import type { Pour, Scrape } from '../plan/stepSchema.ts';
import { stageToKeepRidges } from '../setting/ridge.ts';
import { stagePhrase } from '../setting/stage.ts';
import { formatLength, formatMass } from '../units/format.ts';
import type { Stage } from '../units/quantity.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Facts } from './facts.ts';
import type { Remedy, Warning } from './warning.ts';
import { remedy } from './/warning.ts';

const leftOut = ({ id }: Scrape): Remedy => remedy('Leave it unscraped', (p) => removeStep(p, id));

const intoSpare = ({ id }: Scrape): Remedy =>
  remedy('Scrapings into a spare mould', (p) => updateScrape(p, id, { to: 'spare' }));

type Said = (
  code: WarningCode,
  level: Warning['level'],
  message: string,
  remedies: readonly Remedy[],
) => Warning;

const saying =
  (scrape: Scrape): Said =>
  (code, level, message, remedies) => ({
    station: 'design',
    step: scrape.id,
    code,
    level,
    message,
    remedies,
  });

const CANNOT: Readonly<Record<NotScraped, readonly [WarningCode, string]>> = {
  slanted: [
    'scrape-slanted',
    'The layer that is scraped was poured into a tilted mould. A scraper rests on the rim and wants a level one.',
  ],
  column: ['scrape-at-column', "The column stands in the scraper's way."],
  'closed-above': [
    'scrape-round-mould',
    'The mould closes in above the layer: a scraper as wide as the layer does not go in.',
  ],
  'standing-round': [
    'scrape-round-mould',
    'A scraper is pulled from end to end, and a round mould that stands has none.',
  ],
};

/** A profile that goes too low is made so much less deep that its tips stand half a millimetre clear. */
const SPARED = 0.5;

/** What lies below is no more pushed about once it is thick, of 5. */
const SET_STAGE: Stage = 3;

/** Ends of a profile are known to this, mm. */
const TOUCH = 0.05;

/** Where it goes too low, or its layer stands too high before it is scraped. */
function misfits(
  { plan }: Facts,
  said: Said,
  { offset }: PouredLayer,
  { scrape, crossesMm, overRimMm, pouredMm }: Scraping,
): Warning[] {
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  // what stays is given: a profile goes down by its mean, and comes up by the rest
  const mean = (offset - (pouredMm - scrape.depthMm)) / scrape.reliefMm;
  const relief = Math.floor((scrape.reliefMm - (crossesMm + SPARED) / Math.max(0.05, mean)) * 2) / 2;
  const shallower: Remedy = remedy(`Only ${say(relief)} from tip to ridge`, (p) =>
    updateScrape(p, scrape.id, { reliefMm: relief, depthMm: Math.min(scrape.depthMm, relief) }),
  );
  const crosses: Warning[] =
    crossesMm > TOUCH
      ? [
          said(
            'scrape-crosses',
            'refuse',
            `The scraper's tips go ${say(crossesMm)} into what lies below the layer.`,
            [...(relief >= 0.5 ? [shallower] : []), leftOut(scrape)],
          ),
        ]
      : [];
  const over: Warning[] =
    overRimMm > TOUCH
      ? [
          said(
            'scrape-over-rim',
            'refuse',
            `Before it is scraped the layer would stand at ${say(pouredMm)}, and ${say(overRimMm)} of it over the rim.`,
            [leftOut(scrape)],
          ),
        ]
      : [];
  return [...crosses, ...over];
}

/** The stage that is waited for since a pour before it is scraped; undefined where minutes are waited. */
function waitedFor({ plan }: Facts, pour: Pour, scrape: Scrape): Stage | undefined {
  const between = plan.steps.slice(plan.steps.indexOf(pour) + 1, plan.steps.indexOf(scrape));
  const waits = between.flatMap((s) => (s.kind === 'wait' ? [s.until] : []));
  if (waits.some((w) => w.kind === 'minutes')) return undefined;
  const stages = waits.flatMap((w) => (w.kind === 'stage' ? [w.stage] : []));
  return Math.max(potNamed(plan, leadPot(pour))?.stage ?? 0, ...stages);
}

function soft(
  facts: Facts,
  said: Said,
  layer: PouredLayer,
  { scrape, highestMm, lowestMm }: Scraping,
): Warning[] {
  const relief = highestMm - lowestMm;
  const needed = stageToKeepRidges(relief, layer.densityGMl);
  const waited = waitedFor(facts, layer.pour, scrape);
  if (waited === undefined || waited >= needed) return [];
  const stage = waitedToKeep(relief, layer.densityGMl);
  return [
    said(
      'scrape-soft',
      'warn',
      `Ridges ${formatLength(relief, facts.plan.units.length)} high keep their shape once the batter is ${stagePhrase(needed)}; it is scraped when it is ${stagePhrase(waited)}, and they would slump.`,
      [remedy(`Wait until it is ${stagePhrase(stage)}`, (p) => waitBeforeScrape(p, scrape.id, stage))],
    ),
  ];
}

/** Where the scrapings are to go, and there is no such jug, or it takes less of them. */
function strays(facts: Facts, said: Said, layer: PouredLayer, scrape: Scrape): Warning[] {
  const { plan, weights } = facts;
  const { pour } = layer;
  if (scrape.to === 'spare') return [];
  const next = nextPour(plan, scrape);
  const spare = [intoSpare(scrape)];
  const refused = (message: string): Warning[] => [said('scrape-no-jug', 'refuse', message, spare)];
  if (pour.ombre ?? (scrape.to === 'next' && next?.ombre))
    return refused(
      'Scrapings in the jug of an ombre would shift the shades that follow, which are worked out without them.',
    );
  if (scrape.to === 'pot' && potsOf(pour).length > 1)
    return refused('The layer is of several pots: its scrapings are none of theirs.');
  if (scrape.to === 'next' && !next) return refused('Nothing is poured after it, whose jug would take them.');
  if (scrape.to === 'next' && next && potsOf(next).length > 1)
    return refused('The pour that follows is out of several jugs: its scrapings have no one jug to go into.');
  const jug = scrape.to === 'pot' ? leadPot(pour) : next && leadPot(next);
  const after = plan.steps.slice(plan.steps.indexOf(scrape) + 1);
  const later = after.filter((s): s is Pour => jug !== undefined && isFrom(s, jug));
  const offG = facts.weights?.pots
    .flatMap((p) => p.pours)
    .filter((q) => q.stepId === pour.id)
    .reduce((s, q) => s + q.into.reduce((t, i) => t + i.offG * i.copies, 0), 0);
  const takenG = weights?.pots
    .find((p) => p.pot.id === jug)
    ?.pours.filter((q) => later.some((s) => s.id === q.stepId))
    .reduce((s, q) => s + q.massG, 0);
  const letter = potNamed(plan, jug)?.letter ?? '';
  const mass = (g: number): string => formatMass(g, plan.units.mass, plan.units.scaleStepG);
  if (later.length === 0)
    return [
      said(
        'scrapings-left',
        'warn',
        `The scrapings go back into jug ${letter}, and nothing is poured out of it any more.`,
        spare,
      ),
    ];
  return offG !== undefined && takenG !== undefined && offG > takenG
    ? [
        said(
          'scrapings-left',
          'warn',
          `${mass(offG)} of scrapings go into jug ${letter}, and ${mass(takenG)} are poured out of it after that.`,
          spare,
        ),
      ]
    : [];
}

/** Ridges that nothing covers. */
function standOut({ plan, stack }: Facts, said: Said, { room }: PouredLayer, scraping: Scraping): Warning[] {
  const inRoom = stack.layers.filter((l) => l.room === room);
  const topMm = Math.max(...inRoom.map((l) => l.offset / l.up[2]));
  const over = scraping.highestMm - topMm;
  return over > SPARED
    ? [
        said(
          'scrape-stands-out',
          'note',
          `Its ridges stand ${formatLength(over, plan.units.length)} out of all that is poured over them.`,
          [],
        ),
      ]
    : [];
}

/** What fills grooves lies level: a slope over them has to stand above every ridge. */
function slantOver({ plan, stack }: Facts, said: Said, layer: PouredLayer, scraping: Scraping): Warning[] {
  const next = stack.layers.filter((l) => l.room === layer.room && l.nth > layer.nth);
  const slanted = next.find((l) => l.up[2] < 1 - 1e-12);
  if (!slanted) return [];
  const covered = next
    .filter((l) => l.nth < slanted.nth)
    .some((l) => l.offset / l.up[2] >= scraping.highestMm);
  const lowest = Math.min(slanted.leftMm, slanted.rightMm, slanted.nearMm, slanted.farMm);
  if (covered || lowest >= scraping.highestMm) return [];
  return [
    said(
      'scrape-slant-over',
      'refuse',
      `The slope poured over it comes down to ${formatLength(lowest, plan.units.length)}, and its ridges stand at ${formatLength(scraping.highestMm, plan.units.length)}. Pour what covers them into the level mould first.`,
      [leftOut(scraping.scrape)],
    ),
  ];
}

function ofScrape(facts: Facts, scrape: Scrape): Warning[] {
  const { plan, stack } = facts;
  const said = saying(scrape);
  const pour = layerUnder(plan, scrape);
  if (!pour) return [said('scrape-nothing', 'refuse', 'Nothing is poured before it.', [leftOut(scrape)])];
  if (scrapesOf(plan).get(pour.id) !== scrape)
    return [said('scrape-twice', 'refuse', 'This layer is scraped already.', [leftOut(scrape)])];
  const layer = stack.layers.find((l) => l.pour.id === pour.id);
  if (!layer) return [];
  if (layer.notScraped !== undefined)
    return [said(CANNOT[layer.notScraped][0], 'refuse', CANNOT[layer.notScraped][1], [leftOut(scrape)])];
  const { scraping } = layer;
  if (!scraping) return [];
  if (!canBeScraped(facts, layer))
    return [
      said(
        'scrape-pushed',
        'refuse',
        'What is scraped was poured into batter that was still fluid: its scrapings would be of several pots. Let that set first.',
        [remedy('Wait before that pour', (p) => waitBefore(p, pour.id, SET_STAGE)), leftOut(scrape)],
      ),
    ];
  return [
    ...misfits(facts, said, layer, scraping),
    ...soft(facts, said, layer, scraping),
    ...strays(facts, said, layer, scrape),
    ...slantOver(facts, said, layer, scraping),
    ...standOut(facts, said, layer, scraping),
  ];
}

/** What there is to say of layers that are scraped to a profile. */
export const scrapeWarnings = (facts: Facts): Warning[] =>
  facts.plan.steps.flatMap((s) => (s.kind === 'scrape' ? ofScrape(facts, s) : []));
