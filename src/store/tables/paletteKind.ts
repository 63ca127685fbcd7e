import { paletteSchema, type Palette } from '../../core/exchange/palette.ts';
import { readAs, WHOLE, type Kind } from './kind.ts';

export const PALETTE: Kind<Palette> = {
  table: 'palettes',
  key: 'name',
  version: 1,
  keyOf: (palette) => palette.name,
  nameOf: (palette) => palette.name,
  read: readAs(paletteSchema),
  ...WHOLE,
};
