/**
 * Molar masses in g/mol, from the IUPAC standard atomic weights (Na 22.990, K 39.098, O 15.999, H 1.008;
 * "Standard atomic weights of the elements 2021", from memory).
 */
export const MOLAR_MASS_NAOH = 39.997;
export const MOLAR_MASS_KOH = 56.106;
