/** The trade's words as they are used on screen, each in a sentence. */
export const WORDS: readonly { readonly word: string; readonly means: string }[] = [
  {
    word: 'Additive',
    means: 'Anything stirred in that is no oil, lye, water, colour or scent: clay, sugar, seeds, salt.',
  },
  { word: 'Batter', means: 'Oils, lye and water once they are mixed, until they have set. It is caustic.' },
  {
    word: 'Blends of two stocks',
    means: 'An ombre whose layers are blended from two stocks, a pale and a deep one.',
  },
  { word: 'Breakthrough', means: 'A pour that goes through the layer below it, which did not carry it yet.' },
  {
    word: 'Carrier',
    means:
      'The oil, water, glycerine or alcohol that a colorant is stirred up in before it goes into the batter.',
  },
  { word: 'Cavity', means: 'A mould for a single bar, which is not cut.' },
  {
    word: 'Certificate limit',
    means:
      'How much of a fragrance its maker’s certificate allows in rinse-off soap, as percent of the finished bar.',
  },
  {
    word: 'Cold process',
    means: 'Soap made without cooking: the oils and the lye go on reacting in the mould.',
  },
  {
    word: 'Column',
    means:
      'Something upright that stands in the mould while batter is poured round it, or that batter is poured over.',
  },
  {
    word: 'Cup test',
    means: 'A small batch in one cup that tells how fast a fragrance makes batter thicken.',
  },
  { word: 'Cure', means: 'Four to six weeks or more in which bars lose water, harden and grow milder.' },
  { word: 'Disperse', means: 'To stir a powder into its carrier until no lump is left.' },
  { word: 'Divider', means: 'A wall that parts the mould into compartments while it is poured.' },
  {
    word: 'Dose',
    means: 'How much of something: colorants in g for each kg of batter, additions in g for each kg of oils.',
  },
  {
    word: 'Drip line',
    means:
      'The pours in their order along the foot of the window, a drop each, with tilts and waits between them.',
  },
  { word: 'Emulsion', means: 'Oils and lye mixed so that they no longer part, as thin as cream.' },
  { word: 'Fan', means: 'Strokes of a stick that go out from one place, or in to it.' },
  { word: 'Fill', means: 'How high the mould is poured.' },
  {
    word: 'Gel',
    means: 'A hot phase in which soap turns translucent: colours deepen. A cool mould has none.',
  },
  { word: 'Headspace', means: 'What is left between the fill and the rim.' },
  { word: 'Held back', means: 'Batter of a pot that is kept for the top and for repairs.' },
  {
    word: 'Hole',
    means: 'What a column leaves when it is pulled: filled at once with batter that is held back.',
  },
  { word: 'Kerf', means: 'What the cut itself takes away.' },
  {
    word: 'Landing',
    means:
      'How a pour comes down: in a stream, from low down, over a spatula, by the spoonful. The harder, the deeper it breaks into what lies there.',
  },
  {
    word: 'Late oil',
    means:
      'An oil stirred in after the lye. It is on top of what the lye was reckoned for, and stays in the soap.',
  },
  { word: 'Liner', means: 'Paper or film in the mould; it takes a little of its width.' },
  { word: 'Lye', means: 'Sodium hydroxide, dry or dissolved in water. It burns skin and eyes.' },
  { word: 'Lye concentration', means: 'Lye as a part of lye and water together.' },
  { word: 'Lye-heavy', means: 'With more lye than the oils can use. Such soap burns: it is refused.' },
  { word: 'Mica', means: 'Coated flakes that colour and shimmer.' },
  {
    word: 'Morph',
    means: 'A colour that turns while the batter is fresh and strongly alkaline; it may come back.',
  },
  { word: 'Ombre', means: 'Layers or passes that go from one colour to another by even steps.' },
  {
    word: 'Overage',
    means: 'Batter mixed beyond what is poured, for what sticks to jugs, blender and spatula.',
  },
  { word: 'Part-liquid', means: 'A liquid that takes the place of part of the water: milk, aloe, beer.' },
  { word: 'Pass', means: 'One pour out of a pot that is poured several times.' },
  {
    word: 'Plunge',
    means:
      'How deep a falling stream goes into the batter it falls on: deeper from higher, and when it is thin.',
  },
  { word: 'Portions', means: 'Oils divided between the jugs before the lye, so that each jug gets its own.' },
  {
    word: 'Pointed layers',
    means: 'Close lines poured over a layer that is still fluid, which sink into it as points.',
  },
  { word: 'Pot', means: 'Batter of one colour, with a letter: what is mixed in one jug.' },
  { word: 'Prop', means: 'What is put under an edge, an end or a corner of the mould to tilt it.' },
  {
    word: 'Pushed aside',
    means:
      'What lies in the mould is when more batter comes in: rings, stripes and bowls are earlier pours pushed aside.',
  },
  { word: 'Roll and pitch', means: 'The tilt across the mould, and along it.' },
  { word: 'Round', means: 'The same pots poured one after another, once each; a column pour has several.' },
  { word: 'Run', means: 'The layers of an ombre from its first colour to its last.' },
  { word: 'Saponification value', means: 'How much lye an oil can use up; suppliers give it as a range.' },
  { word: 'Scale step', means: 'The smallest difference that a scale shows. Weights are given at it.' },
  { word: 'Section', means: 'The loaf cut through the middle, as the bar will look.' },
  { word: 'Seize', means: 'To go stiff within seconds; some fragrances do it.' },
  { word: 'Separate pots', means: 'An ombre with a pot for every shade.' },
  { word: 'Slab', means: 'A flat mould that is cut along and across.' },
  { word: 'Soda ash', means: 'A white bloom on top, where batter meets air.' },
  { word: 'Speckle', means: 'To leave dots of colour, as powder does that was not dispersed.' },
  {
    word: 'Spill line',
    means: 'How high batter can stand in a tilted mould before it runs over the low edge.',
  },
  {
    word: 'Split jug',
    means: 'Colours side by side in one jug, poured together so that each keeps to its side of the stream.',
  },
  { word: 'Stage', means: 'How thick batter is, from emulsion (0) to firm (5).' },
  {
    word: 'Stick',
    means: 'A chopstick or skewer drawn through batter that is still fluid: it drags colours along.',
  },
  { word: 'Stock jar', means: 'Colour shaken up in its carrier beforehand, weighed out of the jar.' },
  {
    word: 'Superfat',
    means: 'The part of the oils that the lye leaves over. Below nothing there is lye left over instead.',
  },
  { word: 'Tan', means: 'To turn brown over weeks; vanillin in a fragrance does it.' },
  { word: 'Top allowance', means: 'All the batter that is held back for the top.' },
  { word: 'Trace', means: 'Batter thick enough that a drop lies on top for a moment: light, medium, thick.' },
  { word: 'Trim', means: 'What is cut off an end before the first bar.' },
  { word: 'Turn', means: 'One pot’s place in a round.' },
  {
    word: 'Wire',
    means:
      'A bent wire, mostly with a sleeve on it, moved through fluid layers along a way that is drawn in the section.',
  },
];
