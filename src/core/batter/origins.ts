/** What an ingredient may come from, as far as its name or its place in the library tells. */
export interface Origin {
  readonly animal: boolean;
  readonly palm: boolean;
  readonly milk: boolean;
}

/** Nothing speaks against a promise. */
const NEITHER: Origin = { animal: false, palm: false, milk: false };

const ANIMAL_OILS = new Set(['lard', 'tallow']);
const PALM_OILS = new Set(['palm', 'palm-kernel', 'palm-olein', 'palm-stearin']);

/** Of an oil in the library. Common knowledge, no source. */
export const originOfOil = (id: string): Origin => ({
  ...NEITHER,
  animal: ANIMAL_OILS.has(id),
  palm: PALM_OILS.has(id),
});

/** Milks that come from no animal are named by the plant they come from. */
const PLANT_MILK = /\b(coconut|oat|almond|soya?|rice|hemp|cashew|pea)\b/i;
const MILK = /\b(milk|buttermilk|cream|yogh?urt|whey|kefir|casein|lactose|ghee|quark|butterfat)\b/i;
const ANIMAL =
  /\b(lard|tallow|suet|schmaltz|emu|mink|lanolin|beeswax|honey|propolis|royal jelly|silk|egg|eggs|yolk|gelatine?|collagen|keratin|carmine|cochineal|shellac|bone|fish|snail|goat|ox gall|pearl)\b/i;
const PALM = /\b(palm|palmitate|palmitic|palm-?derived|stearic)\b/i;

/** What is known to come from rock, sea or plants although its name says nothing of it. */
const KNOWN =
  /\b(sodium|potassium|salt|sugar|sorbitol|clay|kaolin|bentonite|oxide|dioxide|ultramarine|mica|charcoal|pumice|silica|oat|oatmeal|poppy|seed|bran|flour|starch|coffee|tea|cocoa|lavender|rose|petal|herb|nettle|spirulina|indigo|madder|turmeric|paprika|water|aloe|juice|pur[ée]e|cucumber|carrot|pumpkin|tomato|beer|wine|vinegar|citrate|lactate|chlorid\w*|vitamin|tocopherol|rosemary|loofah|walnut|almond|apricot|coconut|cinnamon|ginger|seaweed|kelp|algae|glycerine)\b/i;

/** What an ingredient's name tells of it; undefined where it tells nothing either way. */
export function originOfName(name: string): Origin | undefined {
  const milk = MILK.test(name) && !PLANT_MILK.test(name);
  const shell = /\bshell\b/i.test(name) && !/\b(nut|walnut|almond|coconut|argan)\b/i.test(name);
  const animal = milk || shell || ANIMAL.test(name);
  const palm = PALM.test(name);
  return animal || palm || KNOWN.test(name) || PLANT_MILK.test(name) ? { animal, palm, milk } : undefined;
}
