import type { Mould } from './schema.ts';

/** A small library of moulds to start from: made-up sizes in the usual range, inside measures in mm. */
export const STARTER_MOULDS: readonly Mould[] = [
  {
    name: 'Wooden loaf, 1.2 kg',
    material: 'wood',
    shape: { kind: 'box', lengthMm: 230, widthMm: 80, heightMm: 75 },
    linerMm: 0.3,
  },
  {
    name: 'Wooden loaf, 1.6 kg',
    material: 'wood',
    shape: { kind: 'box', lengthMm: 250, widthMm: 92, heightMm: 80 },
    linerMm: 0.5,
  },
  {
    name: 'Tall slim loaf, 12 in',
    material: 'wood',
    shape: { kind: 'box', lengthMm: 304.8, widthMm: 63.5, heightMm: 95.25 },
    linerMm: 0.3,
  },
  {
    name: 'Tapered silicone loaf',
    material: 'silicone',
    shape: {
      kind: 'tapered',
      floorLengthMm: 235,
      floorWidthMm: 78,
      rimLengthMm: 245,
      rimWidthMm: 88,
      heightMm: 72,
    },
    linerMm: 0,
  },
  {
    name: 'Slab for 27 bars',
    material: 'wood',
    shape: { kind: 'box', lengthMm: 571.5, widthMm: 228.6, heightMm: 45 },
    linerMm: 0.5,
  },
  {
    name: 'Small test loaf',
    material: 'plastic',
    shape: { kind: 'box', lengthMm: 120, widthMm: 70, heightMm: 65 },
    linerMm: 0,
  },
];
