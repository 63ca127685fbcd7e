/** A half of a character that stands alone: no file and no address can hold it. */
const LONE_SURROGATES = /[\uD800-\uDBFF](?![\uDC00-\uDFFF])|(?<![\uD800-\uDBFF])[\uDC00-\uDFFF]/g;

/** Controls (no XML may hold them) but for the tab and the ends of lines. */
// eslint-disable-next-line no-control-regex -- these are what is looked for
const CONTROLS = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\uFFFE\uFFFF]/g;

/** Marks that turn the direction of all that comes after them (Unicode Standard Annex 9, from memory). */
const DIRECTIONS = /[\u061C\u200E\u200F\u202A-\u202E\u2066-\u2069]/g;

/**
 * Text that can stand in any sentence, file and drawing: without controls and marks of direction, lone halves
 * of characters replaced by the sign for one. Ends of lines stay.
 */
export const cleanText = (text: string): string =>
  text.replaceAll(LONE_SURROGATES, '\uFFFD').replaceAll(CONTROLS, '').replaceAll(DIRECTIONS, '');

/** The same on one line: what would end it is a space. */
export const cleanLine = (text: string): string =>
  cleanText(text.replaceAll(/[\t\n\r\u0085\u2028\u2029]+/g, ' '));
