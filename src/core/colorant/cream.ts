/** Colour of plain soap that colorants are described in where nothing else is said: a pale cream bar. */
export const CREAM = '#f0e6d0';
