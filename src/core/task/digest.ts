/** Two 32-bit lanes of a text, mixed by multiplication. (After the splitting hashes of the 2010s, from memory.) */
function lanes(text: string, seed: number): string {
  let a = 0x9e3779b9 ^ seed;
  let b = 0x85ebca6b ^ seed;
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x85ebca77);
    b = Math.imul(b ^ code, 0xc2b2ae3d);
    a ^= b >>> 15;
    b ^= a >>> 13;
  }
  a = Math.imul(a ^ (a >>> 16), 0x21f0aaad);
  b = Math.imul(b ^ (b >>> 15), 0x735a2d97);
  return (a >>> 0).toString(36) + '.' + ((b ^ (a >>> 15)) >>> 0).toString(36);
}

/**
 * A short name for a long text: the same for the same text, and of two that differ never the same in
 * practice (128 bits, and the length).
 */
export const digestOf = (text: string): string =>
  `${text.length.toString(36)}-${lanes(text, 0)}-${lanes(text, 0x27d4eb2f)}`;
