/**
 * A short name for a long text: the same for the same text, and of two that differ never the same in
 * practice: 128 bits and the length. Four lanes that are mixed by multiplication, from memory.
 */
export function digestOf(text: string): string {
  let a = 0x9e3779b9;
  let b = 0x85ebca6b;
  let c = 0xc2b2ae35;
  let d = 0x27d4eb2f;
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x85ebca77) ^ (d >>> 15);
    b = Math.imul(b ^ code, 0xc2b2ae3d) ^ (a >>> 13);
    c = Math.imul(c ^ code, 0x27d4eb4f) ^ (b >>> 16);
    d = Math.imul(d ^ code, 0x165667b1) ^ (c >>> 14);
  }
  return [text.length, a, b, c, d].map((x) => (x >>> 0).toString(36)).join('-');
}
