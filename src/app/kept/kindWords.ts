/** What a maker calls a record of a table. */
export const KIND_WORDS: Readonly<Record<string, string>> = {
  plans: 'plan',
  moulds: 'mould',
  colorants: 'colorant',
  palettes: 'palette',
  supplies: 'supply',
  batches: 'batch',
  drafts: 'unstored work',
};
