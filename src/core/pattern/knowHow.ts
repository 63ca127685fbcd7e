import type { KnowHow } from '../ways/way.ts';
import type { Landing } from '../setting/landing.ts';
import type { StickPath } from '../plan/patternSchema.ts';
import type { Finish } from '../plan/stepSchema.ts';
import type { TopWay } from '../plan/topSchema.ts';
import type { WireWay } from './wirePath.ts';

/** A pattern of the stick for the top alone goes no deeper, mm: 1/4 in. Common practice, no source. */
export const TOP_MM = 6;

/** The stick, whichever way it is drawn. */
export const STICK: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'Batter that is still fluid all the way down to its tip, up to light. For a top alone no deeper than 6 mm. A cloth to wipe it between strokes.',
  fails: 'Too many strokes, and colours are one. Deep strokes meant for the top spoil the inside.',
};

/** The ways that a stick is drawn in. */
export const STICK_NAMES: Readonly<Record<StickPath['kind'], string>> = {
  fan: 'Fan',
  spiral: 'Spiral',
  rings: 'Rings',
  lines: 'Lines',
  free: 'A path of your own',
};

/** The ways that a wire goes through the section to begin with. */
export const WIRE_NAMES: Readonly<Record<WireWay, string>> = {
  floor: 'Down, along the floor and up',
  waves: 'In waves between floor and top',
  loops: 'In loops',
};

/** What becomes of the loaf once everything is in. */
export const FINISHES: Readonly<Record<Finish['what'], string>> = {
  mist: 'Alcohol mist',
  insulate: 'Insulate',
  'heating-pad': 'Heating pad',
  'warm-oven': 'Warm oven, off',
  'oven-held': 'Oven held, 2 h',
  'leave-cool': 'Leave cool',
};

/** How a layer is laid by itself. */
export const LANDINGS: Readonly<Record<Landing['how'], Pick<KnowHow, 'needs' | 'fails'>>> = {
  stream: {
    needs: 'Batter up to medium in the jug, and what lies below thick: a falling stream goes through less.',
    fails: 'It breaks through, or splashes the walls. Pour it lower, or over a spatula.',
  },
  low: {
    needs:
      'Batter up to medium in the jug, held just over the surface, and what lies below between medium and thick.',
    fails: 'The first of it breaks through: begin slowly at a wall, and go forth and back.',
  },
  spatula: {
    needs:
      'A spatula or a spoon held just above the surface, from end to end, and what lies below at medium. Then tap it level.',
    fails: 'The last jug is too thick to run off, and its layer comes out lumpy.',
  },
  spoon: {
    needs:
      'Batter from medium to spoonable, laid spoon by spoon from the walls inward; what lies below may be softer.',
    fails: 'Air is shut in and shows as pockets: press each spoonful into the last, then tap.',
  },
};

/** A wire through the section. */
export const WIRE: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'Light to medium, layers that lie one on another and are all still fluid. A wire as long as the mould that fits between its walls, with a sleeve on it: bare thin wire hardly moves batter.',
  fails:
    'Over-worked, and colours are one. Drawn out towards you it breaks the top; lifted through the top it drags it in.',
};

/** A scraper over a layer. */
export const SCRAPER: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'Medium to thick when it is poured, thick when it is scraped. A scraper that rests on the rim, as wide as the mould; a bowl or a jug for the scrapings; about five minutes to hold, and the next colour spooned over.',
  fails:
    'Scraped too soon, the profile slumps. Scraped too late, it crumbles. Colour is left on the walls: wipe them before the next layer.',
};

/** A thin line of colorant between layers. */
export const MICA_LINE: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'A layer that carries what comes: medium or thicker. Dry: a fine sieve, and the next colour spooned or poured over a spatula. In oil: a bottle with a fine tip.',
  fails:
    'Too much, and bars part along it. On thin batter it sinks; under a stream it is washed away. Dark ones smear at the cut.',
};

/** A texture mat under the loaf. */
export const MAT: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'A small pour that is thin, no thicker than light, drawn off level with a flat scraper; layers in reverse order: what is poured first is the top. The last pour is levelled: it is the base.',
  fails:
    'The order is not reversed. The volume of the mat is forgotten, and there is batter left. Thick batter bridges the hollows, and the top has holes. Peeled off too soon, ridges stay in the mat.',
};

/** What is put on top, once everything is poured. */
export const TOPS: Readonly<Record<TopWay['top'], KnowHow>> = {
  mound: {
    name: 'Mound',
    says: 'batter heaped by the spoon, in the middle or to one side',
    needs:
      'Thick batter held back for it, a soap below that carries it, and a spoon. Room above the rim: a lid or a wrap must not touch it.',
    fails: 'Heaped too soon it sinks in and the top bulges; too late it comes off when the bar is cut.',
  },
  dents: {
    name: 'Spoon dents',
    says: 'pressed in with the back of a spoon',
    needs: 'A thick top, level. A spoon dipped in oil or alcohol, so that it lifts off clean.',
    fails: 'Too soon they close again; too deep they go into the layer below.',
  },
  piping: {
    name: 'Piping',
    says: 'dollops or continuous rows of a second small batch',
    needs:
      'A batch of its own, mixed once the loaf carries it; a bag and a nozzle for each colour, gloves. Try it on a plate first: it sets in the bag.',
    fails:
      'Too thin it runs flat, too thick it breaks off and bags burst. Dollops that lie on a cut are cut in two: rows that run on come out more even.',
  },
  pieces: {
    name: 'Pieces',
    says: 'soap-dough made days ahead, pressed in',
    needs:
      'Pieces made days ahead, kept wrapped; a top that is thick but still takes them. A third of each goes in.',
    fails: 'On a top that has set they fall off; in a thin one they sink. On a cut they drag the wire.',
  },
  straws: {
    name: 'Straws',
    says: 'stood in the top, taken out before the bar is used',
    needs: 'Clean straws, cut to length; a top thick enough to hold them upright.',
    fails: 'Left in, they soften and draw water. On a cut they tear.',
  },
  salt: {
    name: 'Salt',
    says: 'coarse salt strewn over it',
    needs:
      'A little more than is wanted to stay: much of it falls off at the cut. Pressed in lightly while the top is thick.',
    fails: 'It weeps in damp air and leaves wet spots; a wire drags it through the faces.',
  },
};
