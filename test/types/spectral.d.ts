declare module 'spectral.js' {
  export class Color {
    constructor(css: string);
    readonly R: readonly number[];
    readonly XYZ: readonly number[];
    toString(options?: { readonly format?: 'hex' | 'rgb' }): string;
  }
  /** Kubelka-Munk mix of colours, each with its part */
  export function mix(...colours: readonly (readonly [Color, number])[]): Color;
}
