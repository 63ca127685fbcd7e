import type { Place } from '../plan/patternSchema.ts';
import type { TopWay } from '../plan/topSchema.ts';

/** A way of pouring that pushes earlier batter aside: what it is called, what it needs and how it usually fails. Common practice, no source. */
export interface KnowHow {
  readonly name: string;
  readonly says: string;
  readonly needs: string;
  readonly fails: string;
}

/** A pattern of the stick for the top alone goes no deeper, mm: 1/4 in. Common practice, no source. */
export const TOP_MM = 6;

/** The stick, whichever way it is drawn. */
export const STICK: Pick<KnowHow, 'needs' | 'fails'> = {
  needs:
    'Batter that is still fluid all the way down to its tip, up to light. For a top alone no deeper than 6 mm. A cloth to wipe it between strokes.',
  fails: 'Too many strokes, and colours are one. Deep strokes meant for the top spoil the inside.',
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

export const KNOW_HOW: Readonly<Record<Place['at'], KnowHow>> = {
  column: {
    name: 'Column pour',
    says: 'over a column that stands in the mould, in rounds',
    needs:
      'Emulsion to light, and a recipe that stays so. A column that water in it holds down; about 30 ml of each pot held back for its hole; a stick.',
    fails:
      'Too thick to spread, and the rings stay heaped round the column. The hole filled late or too little: it slumps.',
  },
  corner: {
    name: 'Corner pour',
    says: 'into one corner of a slab, in rounds',
    needs:
      'Emulsion to light. The same grams in every jug by the end of a round; a stick for strokes out of the corner.',
    fails: 'The jugs drift apart, and colours near the corner blend.',
  },
  line: {
    name: 'Centre line',
    says: 'every colour in a line along the middle',
    needs: 'Light. A jug with a narrow lip, drawn along slowly, short of the ends.',
    fails: 'A line that wanders leans the whole picture; poured from high it goes to the floor.',
  },
  wall: {
    name: 'Wall pour',
    says: 'every colour down one wall',
    needs: 'Light. Poured against the wall, so that it runs down it and lands low.',
    fails: 'Poured away from the wall it makes a line of its own.',
  },
  'two-walls': {
    name: 'Down both walls',
    says: 'two jugs at once, which draws what lies between them in to a drop',
    needs:
      'Two jugs with the same grams and two steady hands, slowly; lines that float along the middle before it.',
    fails: 'One side gets more, and the drop leans to the other.',
  },
  'close-lines': {
    name: 'Pointed layers',
    says: 'close lines back and forth, which sink in as points',
    needs:
      'Medium, over a layer that is still fluid. A thin stream held low and drawn back and forth quickly, every line the same; a layer below as deep as the points.',
    fails:
      'Too thin: the lines go to the floor and the colours wash together. Too thick: they lie on top as ropes.',
  },
  'in-the-pot': {
    name: 'In-the-pot swirl',
    says: 'accents stirred into one jug with a spoon, poured level',
    needs:
      'Light to medium. The main colour in one jug, its accents poured in on different sides; one or two turns of a spoon, then out at once.',
    fails: 'Turned too often it is one colour: above about four turns nothing is told apart.',
  },
  'split-jug': {
    name: 'Split jug',
    says: 'colours side by side in one jug, poured level in wiggles',
    needs:
      'Light to medium. The colours poured into one jug from both sides at once, halves by weight; the lip held so that both run over it; wiggles close together.',
    fails: 'Unequal halves: one runs out first. A jug that is turned mixes them.',
  },
  drops: {
    name: 'Drops',
    says: 'thin streams let fall in chosen places',
    needs: 'Light to medium. Raise the jug as it thickens: from higher it plunges deeper.',
    fails: 'From too low it sits on top; from too high it hits the floor and blooms.',
  },
};
