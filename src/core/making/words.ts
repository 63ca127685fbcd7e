import type { Plan } from '../plan/planSchema.ts';
import type { Act } from '../procedure/act.ts';
import type { Deed } from '../procedure/deeds.ts';
import { sayingOf, type Saying } from '../procedure/words/says.ts';
import { formatShort } from '../units/format.ts';
import { listed, upperFirst } from '../units/words.ts';

interface Called {
  /** what it is, as short as it can be told: "Colour A, Chalk" */
  readonly title: (deed: never, say: Saying) => string;
  /** what is said once it is done */
  readonly done: string;
}

type CalledFor = {
  readonly [K in Deed['does']]: Omit<Called, 'title'> & {
    readonly title: (deed: Extract<Deed, { does: K }>, say: Saying) => string;
  };
};

const is = (title: string, done: string): { readonly title: () => string; readonly done: string } => ({
  title: () => title,
  done,
});

const CALLED: CalledFor = {
  protect: is('Protect yourself', 'Done'),
  'read-data-sheets': is('Data sheets', 'Read'),
  'lay-out-mould': is('The mould', 'Ready'),
  'lay-mat': is('The mat', 'Ready'),
  'set-divider': is('The divider', 'Ready'),
  'stand-columns': is('The columns', 'Ready'),
  'lay-out-jugs': is('Jugs', 'Ready'),
  'lay-out-scales': is('Scales', 'Ready'),
  'lay-out-tools': is('Tools', 'Ready'),
  'lay-out-fragrance': is('Fragrance', 'Ready'),
  'weigh-water': is('Water', 'Weighed'),
  'weigh-lye': is('Lye', 'Weighed'),
  'dissolve-lye': is('Dissolve the lye', 'Dissolved'),
  'dissolve-lye-on-ice': is('Dissolve the lye on ice', 'Dissolved'),
  'strain-lye': is('Strain the lye', 'Strained'),
  'stir-in': is('Stir in', 'Stirred in'),
  'set-oil-aside': is('Oil for the colorants', 'Set aside'),
  'weigh-oils': is('Oils', 'Weighed and melted'),
  disperse: { title: ({ colorant }) => `Disperse ${colorant}`, done: 'Dispersed' },
  emulsify: is('Lye into the oils', 'Blended'),
  'make-stock': { title: ({ stock }) => upperFirst(stock), done: 'Made' },
  'weigh-out': { title: (_d, { jug }) => `Weigh out ${jug}`, done: 'Weighed out' },
  'colour-pot': { title: (_d, { jug }) => `Colour ${jug}`, done: 'Coloured' },
  'make-portion': { title: (_d, { jug }) => `Oils of ${jug}`, done: 'Made' },
  combine: { title: (_d, { jug }) => `Lye into ${jug}`, done: 'Blended' },
  'keep-plain': { title: (_d, { jug }) => `Keep plain batter for ${jug}`, done: 'Kept' },
  'keep-spare': is('Spare batter', 'Kept'),
  'stir-into-pot': { title: (_d, { jug }) => `Stir into ${jug}`, done: 'Stirred in' },
  wait: is('Wait', 'It bears'),
  'set-level': is('Set it level', 'Level'),
  prop: {
    title: ({ angles }) => `Tilt it ${listed(angles.map((a) => `${formatShort(Math.abs(a), 1)}°`))}`,
    done: 'Propped',
  },
  pour: {
    title: ({ pour }, { jug }) => `${upperFirst(pour)}${jug === '' ? '' : `, ${jug}`}`,
    done: 'Poured',
  },
  'blend-jug': { title: (_d, { jug }) => `Blend ${jug} on`, done: 'Blended' },
  'loosen-jug': { title: (_d, { jug }) => `Stir ${jug} loose`, done: 'Stirred loose' },
  'pull-columns': is('Pull the columns', 'Pulled and filled'),
  stroke: is('The stick', 'Drawn'),
  wire: is('The wire', 'Pulled out'),
  scrape: is('Scrape', 'Scraped'),
  mica: { title: ({ colorant }) => `A line of ${colorant}`, done: 'Laid' },
  top: is('The top', 'Done'),
  mound: is('A mound on top', 'Heaped'),
  dents: is('Dents in the top', 'Pressed'),
  'begin-second': is('The batch for piping', 'Begun'),
  'fill-bags': is('Fill the bags', 'Filled'),
  pipe: is('Pipe the top', 'Piped'),
  'press-pieces': { title: ({ name }) => `Press in ${name}`, done: 'Pressed in' },
  'stand-straws': is('Straws', 'Standing'),
  'fill-ridges': { title: (_d, { jug }) => `Fill the hollows with ${jug}`, done: 'Filled' },
  'strew-salt': is('Salt', 'Strewn'),
  finish: is('Finish', 'Done'),
  unmould: is('Unmould', 'Unmoulded'),
  'press-out': is('Press out', 'Pressed out'),
  cut: is('Cut', 'Cut'),
};

/** An act as short as it can be told, in a list and at the head of its screen. */
export function titleOf({ deed, pot }: Pick<Act, 'deed' | 'pot'>, plan: Plan): string {
  const { title } = CALLED[deed.does] as Called;
  return title(deed as never, sayingOf(plan, pot));
}

/** What is said once an act is done: the word on what goes on. */
export const doneWord = ({ deed }: Pick<Act, 'deed'>): string =>
  deed.does === 'wait' && deed.until.kind === 'minutes' ? 'Waited' : CALLED[deed.does].done;

/** What is asked before an act is done, where something is easily forgotten there. */
export function askedBefore({ deed, lines }: Act): string | undefined {
  if (deed.does === 'pipe')
    return 'Pressed once on a plate: does it keep its shape? Not yet: wait, it sets in its bag too.';
  const colours = lines.some((l) => l.from.kind === 'jar');
  if (!colours || deed.does === 'stir-into-pot') return undefined;
  return 'Look into the cup: no dry powder, no lump. Look into the jug: nothing left of an older colour.';
}

/** What is seen when the moment is not there, is there, and is past. */
export interface Signs {
  readonly early: string;
  readonly now: string;
  readonly late: string;
  /** what is drawn of it */
  readonly of: 'on-layer' | 'in-jug' | 'mould' | 'lye';
}

/** Drawn and said by what is seen, as the clock is only an estimate. Common practice, no source. */
export function signsOf({ deed, timed }: Act): Signs | undefined {
  switch (deed.does) {
    case 'pour':
      return timed?.carriedFromMin === undefined
        ? {
            of: 'in-jug',
            early: 'A trail on the surface is gone at once: it is too thin.',
            now: 'A trail stays to be seen, and it still runs.',
            late: 'It falls in lumps and no longer runs level.',
          }
        : {
            of: 'on-layer',
            early: 'A line trailed on it vanishes, a halo of colour blooms up.',
            now: 'A line trailed on it stays and rests on top.',
            late: 'What comes out of the jug falls in dots and lumps in place of a line.',
          };
    case 'wait':
    case 'prop':
    case 'set-level':
      return {
        of: 'mould',
        early: 'Tapped, the whole surface quivers and runs: it would move.',
        now: 'Tapped, it wobbles slightly and stays; a line on it stays.',
        late: 'A finger leaves a dent with an edge: what comes next no longer bonds well.',
      };
    case 'scrape':
      return {
        of: 'mould',
        early: 'The edge closes again behind the scraper.',
        now: 'The edge stays as the scraper leaves it.',
        late: 'It tears and crumbles.',
      };
    case 'stroke':
    case 'wire':
      return {
        of: 'mould',
        early: 'What is drawn closes again at once.',
        now: 'What is drawn stays, with soft edges.',
        late: 'It tears: batter comes along in clots.',
      };
    case 'pipe':
      return {
        of: 'in-jug',
        early: 'On a plate it sinks to a puddle.',
        now: 'On a plate it keeps its ridges.',
        late: 'It hardly leaves the bag, and breaks.',
      };
    default:
      return undefined;
  }
}
