/** With a small first letter, to stand inside a sentence: "Pour 3 (pot A)" becomes "pour 3 (pot A)". */
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** "1 bar", "2 bars". */
export const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

/** "A", "A and B", "A, B and C". */
export const listed = (words: readonly string[]): string =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1) ?? ''}`;
