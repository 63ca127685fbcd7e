import type { PotId } from '../validate/ids.ts';
import type { Into } from '../batter/moments.ts';
import type { Sliced } from '../cut/bars.ts';
import type { Column, Mould } from '../mould/schema.ts';
import type { Stirrer } from '../plan/clockSchema.ts';
import type { Place } from '../ways/ways.ts';
import type { WireTold } from '../pattern/wireTold.ts';
import type { Finish, MicaLine, Scrape, Stroke, Wait, Wall, Wire } from '../plan/stepSchema.ts';
import type { Landing } from '../setting/landing.ts';
import type { PutUnder } from '../mould/propped.ts';
import type { FromAbove } from '../ways/fromAbove.ts';
import type { Afterwards } from '../clock/afterwards.ts';
import type { TopWay } from '../plan/topSchema.ts';
import type { Celsius, Degrees, Grams, Millilitres, Millimetres, Percent, Stage } from '../units/quantity.ts';
import type { OmbreWeights } from '../weigh/ombre/types.ts';

/** Things of which there is nothing more to say. */
export type PlainTool =
  | 'spoon'
  | 'spatula'
  | 'sieve'
  | 'lye-sieve'
  | 'squeeze-bottle'
  | 'ice-bowl'
  | 'spare-mould'
  | 'flat-scraper'
  | 'straws'
  | 'scrap-bowl'
  | 'cutter';

/** Something to have at hand, with what there is to say of it. */
export type Tool =
  | { readonly tool: 'stick'; readonly ends: readonly Stroke['end'][] }
  | { readonly tool: 'wire'; readonly girthMm: Millimetres; readonly longMm: Millimetres }
  | {
      readonly tool: 'scraper';
      readonly edges: readonly { readonly edge: Scrape['edge']; readonly reliefMm: Millimetres }[];
    }
  | { readonly tool: 'prop'; readonly heightsMm: readonly Millimetres[] }
  | { readonly tool: 'stirrer'; readonly stirrer: Stirrer; readonly count: number }
  | { readonly tool: 'dispersing-cups'; readonly count: number }
  | { readonly tool: 'cups'; readonly letters: readonly string[] }
  | { readonly tool: 'bags'; readonly letters: readonly string[] }
  /** the same pot poured down two walls at once, out of two jugs: what of it is in the first, g */
  | {
      readonly tool: 'second-jug';
      readonly pour: string;
      readonly letters: readonly string[];
      readonly firstPercent: Percent;
      readonly firstG: Grams;
      readonly secondG: Grams;
    }
  | { readonly tool: PlainTool };

/**
 * A surface as it is poured up to: heights on the walls at their middles, and the walls it does not come to.
 */
export interface Surface {
  readonly heightsMm: Readonly<Record<Wall, Millimetres>>;
  readonly bare: readonly { readonly wall: Wall; readonly gapMm: Millimetres }[];
  /** the mould it is in, where that is to be said */
  readonly mould?: string;
}

/** One pot's turn in a round: what is poured of it, and what should be left in its jug. */
export interface TurnDeed {
  readonly letter: string;
  readonly massG: Grams;
  readonly leftG: Grams;
}

export interface PatternDeed {
  readonly place: Place;
  /** how many columns it goes over, and which it is, from 1, where it is one of several */
  readonly over?: { readonly count: number; readonly nth?: number };
  readonly fallMm: Millimetres;
  /** lines and places that it goes in at */
  readonly above?: FromAbove;
  readonly roundCount: number;
  /**
   * into one mould, worked out once they are asked for; `inMouldG` is what is in it by the end of the round
   */
  readonly rounds: readonly { readonly turns: readonly TurnDeed[]; readonly inMouldG: Grams }[];
}

/** Something done to one mould, named where there are several. */
interface InMould {
  readonly mould?: string;
}

/**
 * Everything that a maker is told to do, and what there is to say of it: figures in g, mm, ml, °C and
 * degrees.
 */
export type Deed =
  // before anything
  | { readonly does: 'protect' }
  | { readonly does: 'read-data-sheets'; readonly fragrance: boolean; readonly colorants: boolean }
  | {
      readonly does: 'lay-out-mould';
      readonly name: string;
      readonly copies: number;
      readonly lined: boolean;
      readonly wideMm: Millimetres;
      readonly highMm: Millimetres;
    }
  | { readonly does: 'lay-mat'; readonly thicknessMm: Millimetres; readonly reliefMm: Millimetres }
  | {
      readonly does: 'set-divider';
      readonly walls: number;
      readonly runs: NonNullable<Mould['divider']>['runs'];
    }
  | { readonly does: 'stand-columns'; readonly columns: readonly Column[] }
  | {
      readonly does: 'lay-out-jugs';
      readonly letters: readonly string[];
      readonly stocks: boolean;
      readonly known: readonly { readonly letter: string; readonly name: string; readonly tareG: Grams }[];
      /** of the batch that is piped on top */
      readonly piped?: readonly string[];
    }
  | { readonly does: 'lay-out-scales' }
  | { readonly does: 'lay-out-tools'; readonly tools: readonly Tool[] }
  | { readonly does: 'lay-out-fragrance' }
  // lye
  | {
      readonly does: 'weigh-water';
      readonly water: boolean;
      readonly frozen: readonly string[];
      readonly mixed: readonly string[];
    }
  | { readonly does: 'weigh-lye' }
  | { readonly does: 'dissolve-lye'; readonly peakC: Celsius; readonly coolToC: Celsius }
  | { readonly does: 'dissolve-lye-on-ice'; readonly water: boolean; readonly belowC: Celsius }
  | { readonly does: 'strain-lye' }
  /** `blendTo`: blended on to this stage once it is in */
  | { readonly does: 'stir-in'; readonly into: Into; readonly blendTo?: Stage }
  // oils and colorants
  | { readonly does: 'set-oil-aside'; readonly massG: Grams }
  | { readonly does: 'weigh-oils'; readonly massG: Grams; readonly aside: boolean; readonly toC: Celsius }
  | {
      readonly does: 'disperse';
      readonly colorant: string;
      /** letters of pots and names of stocks */
      readonly into: readonly string[];
      readonly how:
        | { readonly kind: 'jar'; readonly jar: string }
        | { readonly kind: 'dry' }
        | { readonly kind: 'undescribed' }
        | { readonly kind: 'oil-set-aside'; readonly ml: Millilitres }
        | { readonly kind: 'carrier'; readonly name: string; readonly ml: Millilitres };
    }
  // emulsion and pots
  /** blended to this stage; absent: to an emulsion, for something goes in first */
  | { readonly does: 'emulsify'; readonly meetsC: Celsius; readonly blendTo?: Stage }
  | {
      readonly does: 'make-stock';
      readonly ombre: string;
      readonly stock: string;
      readonly coloured: boolean;
      readonly stirrer: Stirrer;
      readonly ofOils: boolean;
    }
  | {
      readonly does: 'weigh-out';
      readonly school: OmbreWeights['school'] | undefined;
      /** what its colour is stirred in with */
      readonly coloured?: Stirrer;
      /** something else is stirred into this pot alone */
      readonly more: boolean;
      /** the pot whose jug it takes */
      readonly jugOf?: string;
    }
  /** right before a pot is wanted, where each is coloured then */
  | {
      readonly does: 'colour-pot';
      /** what its colour is stirred in with */
      readonly coloured?: Stirrer;
      /** something else is stirred into this pot alone */
      readonly more: boolean;
    }
  | {
      readonly does: 'make-portion';
      readonly fromStocks: boolean;
      readonly ownOils: boolean;
      readonly coloured: boolean;
    }
  | { readonly does: 'combine'; readonly blendTo?: Stage }
  /** plain batter set aside of a portion that goes paler */
  | { readonly does: 'keep-plain'; readonly massG: Grams }
  | { readonly does: 'keep-spare' }
  | { readonly does: 'stir-into-pot'; readonly at: 'emulsion'; readonly blendTo: Stage }
  /** `sinks`: in batter thinner than this stage; absent: it is scent */
  | { readonly does: 'stir-into-pot'; readonly at: 'trace'; readonly sinks?: Stage }
  | { readonly does: 'stir-into-pot'; readonly at: 'pass'; readonly holdsG: Grams }
  | {
      readonly does: 'stir-into-pot';
      readonly at: 'pour';
      readonly pour: string;
      readonly holdsG: Grams;
      /** into a cup with that pour's batter alone */
      readonly cup: boolean;
    }
  // mould
  | ({ readonly does: 'wait'; readonly until: Wait['until'] } & InMould)
  | ({ readonly does: 'set-level'; readonly fluid: boolean } & InMould)
  | ({
      readonly does: 'prop';
      readonly props: readonly PutUnder[];
      readonly angles: readonly Degrees[];
    } & InMould)
  | {
      readonly does: 'pour';
      readonly pour: string;
      /** counted from 1, in a divided mould */
      readonly compartment?: number;
      readonly landing: Landing['how'];
      /** laid on what is fluid: how rough their border is then, mm either way */
      readonly onFluidMm?: Millimetres;
      readonly surfaces: readonly Surface[];
      /** how thick its pots are meant to be, and how thick they may be */
      readonly thick: {
        readonly meant: readonly { readonly letter: string; readonly stage: Stage }[];
        readonly most?: Stage;
        /** where the clock has it otherwise: of its thinnest pot as it begins, to its thickest at the end */
        readonly byClock?: { readonly from: Stage; readonly to: Stage };
      };
      /** left so rough, from hollow to peak */
      readonly roughMm?: Millimetres;
      /** it pushes earlier batter aside: where, from how high, and round by round */
      readonly pattern?: PatternDeed;
      /** what a jug of known weight then reads on the scale, and what is left in it */
      readonly jug?: { readonly name: string; readonly readsG: Grams; readonly leftG: Grams };
    }
  | { readonly does: 'blend-jug'; readonly to: Stage }
  | { readonly does: 'loosen-jug' }
  | ({
      readonly does: 'pull-columns';
      /** in all copies of the mould */
      readonly holeG: Grams;
      readonly copies: number;
      /** what goes into each column's hole in one of them, in their order */
      readonly holesG: readonly Grams[];
    } & InMould)
  | ({
      readonly does: 'stroke';
      readonly path: Stroke['path'];
      readonly end: Stroke['end'];
      readonly depthMm: Millimetres;
      /** its ways in this mould: what of a fan falls outside is not drawn */
      readonly above: FromAbove;
    } & InMould)
  | ({
      readonly does: 'wire';
      readonly lies: Wire['lies'];
      readonly girthMm: Millimetres;
      readonly longMm: Millimetres;
      /** undefined where it never comes into the batter */
      readonly told: Omit<WireTold, 'within'> | undefined;
    } & InMould)
  | ({
      readonly does: 'scrape';
      readonly pulled: Scrape['pulled'];
      readonly edge: Scrape['edge'];
      readonly reliefMm: Millimetres;
      readonly depthMm: Millimetres;
      /** from the rim down to where its lowest tips go */
      readonly underRimMm: Millimetres;
      /** the stage that keeps the ridges */
      readonly stage: Stage;
      readonly to: Scrape['to'];
      /** the pot whose jug takes the scrapings */
      readonly jug?: PotId;
      /** that jug has its lye only afterwards */
      readonly beforeLye: boolean;
    } & InMould)
  | ({
      readonly does: 'mica';
      readonly colorant: string;
      readonly how: MicaLine['how'];
      /** of oil to trail it in, in one mould */
      readonly oilMl: Millilitres;
    } & InMould)
  | { readonly does: 'top'; readonly columns: number }
  | ({
      readonly does: 'mound';
      readonly runs: Extract<TopWay, { top: 'mound' }>['runs'];
      readonly offMm: Millimetres;
      readonly wideMm: Millimetres;
      readonly heightMm: Millimetres;
      readonly copies: number;
    } & InMould)
  | ({
      readonly does: 'dents';
      readonly rows: number;
      readonly perBar: number;
      readonly acrossMm: Millimetres;
      readonly depthMm: Millimetres;
    } & InMould)
  /** the second batch is begun */
  | { readonly does: 'begin-second'; readonly massG: Grams; readonly superfatPercent: Percent }
  | {
      readonly does: 'fill-bags';
      readonly bags: readonly { readonly letter: string; readonly name: string; readonly stage: Stage }[];
    }
  | ({
      readonly does: 'pipe';
      readonly rows: readonly {
        readonly letter: string;
        /** dollops on each bar, and in all; a continuous row where absent */
        readonly dollops?: { readonly perBar: number; readonly all: number };
        readonly acrossMm: Millimetres;
        readonly heightMm: Millimetres;
        readonly offMm: Millimetres;
        /** on one mould */
        readonly massG: Grams;
      }[];
    } & InMould)
  | ({
      readonly does: 'press-pieces';
      readonly name: string;
      readonly all: number;
      readonly rows: number;
      readonly perBar: number;
      /** of all of them on one mould */
      readonly massG: Grams;
    } & InMould)
  | ({
      readonly does: 'stand-straws';
      readonly all: number;
      readonly rows: number;
      readonly perBar: number;
      readonly acrossMm: Millimetres;
      readonly deepMm: Millimetres;
    } & InMould)
  | { readonly does: 'fill-ridges'; readonly reliefMm: Millimetres }
  | ({ readonly does: 'strew-salt'; readonly massG: Grams } & InMould)
  | { readonly does: 'finish'; readonly what: Finish['what'] }
  /** one that was poured on a mat stands on its top once it is out */
  | { readonly does: 'unmould'; readonly turnedOver: boolean; readonly after: Afterwards | undefined }
  | ({
      readonly does: 'press-out';
      readonly bars: number;
      readonly after: Afterwards | undefined;
    } & InMould)
  | ({
      readonly does: 'cut';
      /** of one mould */
      readonly bars: number;
      readonly discs: boolean;
      readonly thickMm: Millimetres;
      readonly moulds: number;
      readonly pieces: number;
      readonly strips: number;
      readonly sliced?: Sliced;
      readonly onSide: boolean;
      readonly trimStartMm: Millimetres;
      /** off the faces that lay against the mould; 0: nothing */
      readonly planeMm: Millimetres;
      readonly trimEndMm: Millimetres;
      /** of each piece, beyond its bars and trims */
      readonly leftMm: Millimetres;
      readonly after: Afterwards | undefined;
    } & InMould);
