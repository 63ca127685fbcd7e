/**
 * Exact conversion factors (International yard and pound agreement, 1959; US customary volumes).
 * One record per unit: its dimension, the factor to the base unit, and how makers write it.
 */
export type Dimension = 'length' | 'mass' | 'volume' | 'share';

export interface UnitRecord {
  readonly unit: string;
  readonly dimension: Dimension;
  /** multiply a value in this unit by this to get mm, g, ml or percent */
  readonly factor: number;
  readonly written: readonly string[];
}

const INCH_MM = 25.4;
const POUND_G = 453.59237;
const INCH3_ML = 16.387064;
const US_CUP_ML = 236.5882365;

export const UNITS: readonly UnitRecord[] = [
  {
    unit: 'mm',
    dimension: 'length',
    factor: 1,
    written: ['mm', 'millimetre', 'millimetres', 'millimeter', 'millimeters'],
  },
  {
    unit: 'cm',
    dimension: 'length',
    factor: 10,
    written: ['cm', 'centimetre', 'centimetres', 'centimeter', 'centimeters'],
  },
  { unit: 'm', dimension: 'length', factor: 1000, written: ['m', 'metre', 'metres', 'meter', 'meters'] },
  {
    unit: 'in',
    dimension: 'length',
    factor: INCH_MM,
    written: ['in', 'inch', 'inches', '"', '″', '”', "''", '’’', '′′'],
  },
  { unit: 'ft', dimension: 'length', factor: 12 * INCH_MM, written: ['ft', 'foot', 'feet', "'", '′', '’'] },
  { unit: 'g', dimension: 'mass', factor: 1, written: ['g', 'gram', 'grams', 'gramme', 'grammes'] },
  {
    unit: 'kg',
    dimension: 'mass',
    factor: 1000,
    written: ['kg', 'kilo', 'kilos', 'kilogram', 'kilograms', 'kilogramme', 'kilogrammes'],
  },
  { unit: 'oz', dimension: 'mass', factor: POUND_G / 16, written: ['oz', 'ounce', 'ounces'] },
  { unit: 'lb', dimension: 'mass', factor: POUND_G, written: ['lb', 'lbs', 'pound', 'pounds'] },
  {
    unit: 'ml',
    dimension: 'volume',
    factor: 1,
    written: ['ml', 'millilitre', 'millilitres', 'milliliter', 'milliliters'],
  },
  { unit: 'l', dimension: 'volume', factor: 1000, written: ['l', 'litre', 'litres', 'liter', 'liters'] },
  { unit: 'in3', dimension: 'volume', factor: INCH3_ML, written: ['in3', 'in³', 'cuin'] },
  {
    unit: 'tbsp',
    dimension: 'volume',
    factor: US_CUP_ML / 16,
    written: ['tbsp', 'tablespoon', 'tablespoons'],
  },
  { unit: 'tsp', dimension: 'volume', factor: US_CUP_ML / 48, written: ['tsp', 'teaspoon', 'teaspoons'] },
  { unit: 'cup', dimension: 'volume', factor: US_CUP_ML, written: ['cup', 'cups'] },
  { unit: '%', dimension: 'share', factor: 1, written: ['%', 'percent', 'per cent'] },
];

const BY_WRITTEN = new Map(UNITS.flatMap((u) => u.written.map((w) => [w, u] as const)));

export const unitWritten = (text: string): UnitRecord | undefined => BY_WRITTEN.get(text.toLowerCase());

const factorOf = (unit: string): number => {
  const record = UNITS.find((u) => u.unit === unit);
  if (!record) throw new RangeError(`unknown unit ${unit}`);
  return record.factor;
};

export const MM_PER_INCH = factorOf('in');
export const G_PER_OUNCE = factorOf('oz');
export const ML_PER_CUBIC_INCH = factorOf('in3');
