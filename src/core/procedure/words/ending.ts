import type { Finish } from '../../plan/stepSchema.ts';
import type { Afterwards, Span } from '../../clock/afterwards.ts';
import { plural } from '../../units/words.ts';
import type { Deed } from '../deeds.ts';
import { inMould, type Saying, type Words, type WordsFor } from './says.ts';

const FINISH: Readonly<Record<Finish['what'], Words>> = {
  mist: {
    text: 'Mist the top lightly with alcohol against soda ash.',
    caution: 'Alcohol mist burns: no flame, no hot oven, no heater near it.',
  },
  insulate: { text: 'Cover and wrap the mould; leave it overnight.' },
  'heating-pad': {
    text: 'Stand the mould on a heating pad, covered, until it has gelled: an hour or two; then pad off, and leave it overnight.',
    caution: 'Alcohol mist must be dry before anything goes near heat. Do not leave a pad on by itself.',
  },
  'warm-oven': {
    text: 'Warm the oven to 77 °C (170 °F), switch it OFF, then put the mould in overnight.',
    caution: 'The oven must be off, and no alcohol mist near it while it is warm.',
  },
  'oven-held': {
    text: 'Hold the mould in the oven at 77 °C (170 °F) for about 2 h, then oven off, and leave it in there overnight.',
    caution:
      'Alcohol mist must be dry before it goes in. Stay by it, and look that it does not rise: batter that overflows is caustic.',
  },
  'leave-cool': { text: 'Leave the mould open in a cool place or the fridge, so that it does not gel.' },
};

type Cutting = Extract<Deed, { does: 'cut' }>;

const hours = ({ from, to }: Span): string => `${from} to ${to} h`;

/** When bars are cut best, and how long they cure. */
const cure = (after: Afterwards | undefined, cut = true): string =>
  after
    ? `${cut ? ` It cuts best ${hours(after.cutH)} after the pour.` : ''} Cure ${after.cureWeeks.from} to ${after.cureWeeks.to} weeks (estimates).`
    : '';

/** What is no bar, beyond what is trimmed. */
const leftOver = ({ leftMm, pieces, sliced }: Cutting, length: Saying['length']): string =>
  leftMm < 0.05
    ? ''
    : ` ${length(leftMm)} of ${pieces > 1 ? 'the longest piece' : sliced ? 'the height' : 'the length'} is left over: no whole bar.`;

/** What is cut out of a mould, in words: the loaf, its compartments, or a tube's discs. */
function cutting(deed: Cutting, { length }: Saying): string {
  const { bars, discs, moulds, pieces } = deed;
  const each = moulds > 1 ? ' from each mould' : '';
  const inAll = moulds > 1 ? `, ${bars * moulds} in all from ${moulds} moulds` : '';
  const [start, end] = discs ? ['foot', 'top'] : ['near end', 'far end'];
  const apart = pieces > 1 ? `, each of the ${pieces} pieces by itself` : '';
  const planed =
    deed.planeMm > 0 ? ` Plane ${length(deed.planeMm)} off the dull faces that lay against the mould.` : '';
  const { sliced } = deed;
  if (sliced) {
    const { by, longMm, blocks, slices, across } = sliced;
    const how = by === 'floor' ? 'parallel to the floor' : 'upright along its length';
    const rest = across > 0 ? `; cut what is left of the length across, ${plural(across, 'bar')}` : '';
    return `Cut across into ${plural(blocks, 'block')} of ${length(longMm)}${apart}, and slice each ${how} into ${slices} of ${length(deed.thickMm)}${rest}: ${plural(bars, 'bar')}${each}${inAll}. ${length(deed.trimStartMm)} trimmed at the ${start} and ${length(deed.trimEndMm)} at the ${end}.${planed}${leftOver(deed, length)}${cure(deed.after)}`;
  }
  const lain = deed.onSide ? 'Lay the loaf on its side, so that nothing drags through the faces. ' : '';
  const strips = !discs && deed.strips > 1 ? `, in ${deed.strips} strips across` : '';
  return `${lain}Cut ${bars} ${discs ? 'discs' : 'bars'} of ${length(deed.thickMm)}${each}${inAll}${apart}; ${length(deed.trimStartMm)} trimmed at the ${start} and ${length(deed.trimEndMm)} at the ${end}${strips}.${planed}${leftOver(deed, length)}${cure(deed.after)}`;
}

export const endingWords: WordsFor<'finish' | 'unmould' | 'press-out' | 'cut'> = {
  finish: ({ what }) => FINISH[what],
  unmould: ({ turnedOver, after }) => ({
    text: `Unmould${after ? ` ${hours(after.unmouldH)} after the pour (an estimate)` : ''}, when it is firm enough not to dent.${turnedOver ? ' Turn it over: what lay on the mat is its top. Peel the mat off slowly, along its hollows.' : ''}`,
    caution: 'Gloves stay on: fresh soap is still caustic.',
  }),
  'press-out': ({ bars, after, mould }) => ({
    text: inMould(
      mould,
      `Press ${bars === 1 ? 'the bar out of its cavity' : `${bars} bars out of their cavities`}.${cure(after, false)}`,
    ),
  }),
  cut: (deed, say) => ({ text: inMould(deed.mould, cutting(deed, say)) }),
};
