/**
 * When one pot gets something by itself: as it is made up, as it is coloured, once it holds, once it has
 * thickened, or before a pour.
 */
export type StirMoment = 'jug' | 'colour' | 'emulsion' | 'trace' | 'pour';

/** An act that stirs what is due at a moment into all of a batch. */
export interface WholeStir {
  /** what the act is called on the sheet */
  readonly act: string;
  /** it follows this act of the making */
  readonly after: 'weigh-water' | 'dissolve-lye' | 'weigh-oils' | 'emulsify';
  /** scents alone, or all but them; absent: everything */
  readonly scents?: boolean;
  readonly text: string;
  readonly caution?: string;
}

/** All there is to know of a moment at which something is stirred in. */
export interface MomentOfDay {
  /** in a list of them */
  readonly label: string;
  /** after "goes" */
  readonly words: string;
  /**
   * what there is by then: the lye or the oils by themselves, the batter of a batch, or every pot by itself
   * however the batch is divided
   */
  readonly stands: 'lye' | 'oils' | 'batter' | 'pot';
  /** the acts that stir it into a whole batch, by what they stir into it; none: each pot gets it by itself */
  readonly whole: Readonly<Record<string, WholeStir>>;
  /**
   * when a pot gets it that gets it by itself: out of one batch, and in portions made ready before the lye,
   * which have their colour in their oils
   */
  readonly own: { readonly ofBatch: StirMoment; readonly ofPortion: StirMoment };
  /** when a scent meets the batter: with all of it, with each jug's colour, or with each pour */
  readonly scent: 'batch' | 'colour' | 'pour';
}

const INTO_JUG = { ofBatch: 'jug', ofPortion: 'jug' } as const;

/** Every moment, in the order of the day. A plan names them by these keys. */
export const MOMENT = {
  water: {
    label: 'in the water, before the lye',
    words: 'into the water, before the lye',
    stands: 'lye',
    whole: {
      water: {
        act: 'in-water',
        after: 'weigh-water',
        text: 'Stir into the water until nothing is left to see: crystals in a lye jug are taken for lye.',
      },
    },
    own: INTO_JUG,
    scent: 'batch',
  },
  'hot-lye': {
    label: 'in the hot lye',
    words: 'into the hot lye',
    stands: 'lye',
    whole: {
      'hot-lye': {
        act: 'in-hot-lye',
        after: 'dissolve-lye',
        text: 'Stir into the lye while it is hot and fresh, until it has dissolved.',
        caution: 'Hot lye burns at once: goggles and gloves, and stir slowly.',
      },
    },
    own: INTO_JUG,
    scent: 'batch',
  },
  'cooled-lye': {
    label: 'in the cooled lye',
    words: 'into the cooled lye',
    stands: 'lye',
    whole: { 'cooled-lye': { act: 'dissolve', after: 'dissolve-lye', text: 'Stir into the cooled lye.' } },
    own: INTO_JUG,
    scent: 'batch',
  },
  oils: {
    label: 'in the oils',
    words: 'into the oils',
    stands: 'oils',
    whole: { oils: { act: 'in-oils', after: 'weigh-oils', text: 'Stir into the oils.' } },
    own: INTO_JUG,
    scent: 'batch',
  },
  emulsion: {
    label: 'at emulsion',
    words: 'in at emulsion',
    stands: 'batter',
    whole: {
      emulsion: {
        act: 'in-emulsion',
        after: 'emulsify',
        text: 'Stir in as soon as it holds as an emulsion',
      },
    },
    own: { ofBatch: 'jug', ofPortion: 'emulsion' },
    scent: 'batch',
  },
  trace: {
    label: 'at trace',
    words: 'in at trace',
    stands: 'batter',
    whole: {
      trace: { act: 'trace', after: 'emulsify', scents: false, text: 'Stir in by hand.' },
      scent: { act: 'scent', after: 'emulsify', scents: true, text: 'Stir in the fragrance.' },
    },
    own: { ofBatch: 'trace', ofPortion: 'trace' },
    scent: 'batch',
  },
  colour: {
    label: 'with the colour',
    words: 'in with the colour',
    stands: 'pot',
    whole: {},
    own: { ofBatch: 'colour', ofPortion: 'jug' },
    scent: 'colour',
  },
  pour: {
    label: 'just before each pour',
    words: 'in just before the pour',
    stands: 'pot',
    whole: {},
    own: { ofBatch: 'pour', ofPortion: 'pour' },
    scent: 'pour',
  },
} as const satisfies Readonly<Record<string, MomentOfDay>>;

export type Moment = keyof typeof MOMENT;

export const MOMENTS = Object.keys(MOMENT) as readonly Moment[] as readonly [Moment, ...Moment[]];

/** What a whole batch gets stirred in, by what it is called. */
export type Into = { [M in Moment]: keyof (typeof MOMENT)[M]['whole'] }[Moment];

/** Everything that is stirred into a whole batch, by what it is called and in the order of the day. */
export const WHOLE_STIRS = Object.fromEntries(
  MOMENTS.flatMap((moment) =>
    Object.entries<WholeStir>(MOMENT[moment].whole).map(([into, stir]) => [into, { ...stir, moment }]),
  ),
) as Readonly<Record<Into, WholeStir & { readonly moment: Moment }>>;

export const isInLye = (moment: Moment): boolean => MOMENT[moment].stands === 'lye';

/** The lye is still by itself, or the oils are. */
export const isEarly = (moment: Moment): boolean => isInLye(moment) || MOMENT[moment].stands === 'oils';

/** Every pot is by itself, however the batch is divided. */
export const isInPot = (moment: Moment): boolean => MOMENT[moment].stands === 'pot';

/**
 * When milk, aloe and the like go in, and how that is said. Frozen: the lye is dissolved in it, slowly and on
 * ice.
 */
export const LIQUID_MOMENT = {
  emulsion: { label: 'at emulsion', inSolution: false, dissolves: false },
  oils: { label: 'in the oils', inSolution: false, dissolves: false },
  water: { label: 'with the water, before the lye', inSolution: true, dissolves: true },
  'cooled-lye': { label: 'in the cooled lye', inSolution: true, dissolves: false },
  frozen: { label: 'frozen, the lye dissolved in it on ice', inSolution: true, dissolves: true },
} as const;

export type LiquidMoment = keyof typeof LIQUID_MOMENT;
