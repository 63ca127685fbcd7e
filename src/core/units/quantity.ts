/**
 * Base units inside the core: g, mm, ml, degrees Celsius, minutes, pascals.
 *
 * A flavoured number accepts a plain number, but a mass handed to a function that wants a length is a
 * type error. Names of plain-number fields carry the unit as a suffix (`massG`, `heightMm`).
 */
type Flavour<U extends string> = number & { readonly __unit?: U };

export type Grams = Flavour<'g'>;
export type Millimetres = Flavour<'mm'>;
export type Millilitres = Flavour<'ml'>;
export type Degrees = Flavour<'deg'>;
export type Percent = Flavour<'%'>;
export type Celsius = Flavour<'C'>;
export type Minutes = Flavour<'min'>;
export type Pascals = Flavour<'Pa'>;
/** of thickness, 0 emulsion to 5 firm, and anything between */
export type Stage = Flavour<'stage'>;
