/**
 * A solver that ran out of steps: where it stood, and by how much it still missed, in the units of its
 * function.
 */
export class NotConverged extends Error {
  readonly x: number;
  readonly residual: number;

  constructor(what: string, x: number, residual: number) {
    super(`${what} did not converge: ${residual} is left at ${x}`);
    this.name = 'NotConverged';
    this.x = x;
    this.residual = residual;
  }
}
