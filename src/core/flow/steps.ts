import type { Blurred } from './blurred.ts';
import { valueAt, type Nodes } from './box.ts';
import { before, beyondAt, type Field } from './field.ts';
import { holeReader, lineReader, wallsReader, within, type Reader } from './readers.ts';
import type { LevelPlace } from './levelPlace.ts';
import type { Drawn, From, Prepared, Run, Section, Stage } from './stages.ts';
import { mixedAt } from './texture.ts';

/** What comes by way of flow lines from one source: told by one value of its field. */
export interface FieldStep {
  readonly field: Field;
  readonly nodes: Nodes;
  /** it comes from several sources */
  readonly several: boolean;
  readonly values: Float64Array;
  readonly deposits: Int32Array;
  /** the one that was found last */
  guess: number;
  readonly back: (place: LevelPlace, level: number) => void;
}

/**
 * One step of the way back. All steps have the same shape, so that what runs for every pixel stays one piece
 * of code.
 */
export interface Step {
  /** it leaves a place where it is */
  readonly stays: boolean;
  readonly drawn: Drawn | undefined;
  readonly section: Section | undefined;
  readonly blurred: Blurred | undefined;
  readonly field: FieldStep | undefined;
  readonly other: Reader | undefined;
}

function fieldStep(
  { deposits, beyond }: Run,
  { field, values }: Extract<From, { kind: 'field' }>,
): FieldStep {
  const count = deposits.length;
  return {
    field,
    nodes: field.beyond,
    several: field.from !== undefined,
    values,
    deposits: Int32Array.from(deposits),
    guess: 0,
    back: (place, level) => {
      [place.x, place.y] = before(field, place.x, place.y, beyond[level * count + count - 1] as number);
    },
  };
}

function otherReader({ levels }: Prepared, run: Run): Reader | undefined {
  const { from } = run;
  switch (from.kind) {
    case 'everywhere': {
      const count = run.deposits.length;
      const { texture } = run;
      if (texture)
        return ({ x, y, through }, level) =>
          within(run.beyond, level, 1, through, 0) < 1 ? mixedAt(texture, x, y, level, through) : -1;
      return ({ through }, level) => run.deposits[within(run.beyond, level * count, count, through, 0)] ?? -1;
    }
    case 'line':
      return lineReader(levels, run, from);
    case 'walls':
      return wallsReader(levels, run, from);
    case 'hole':
      return holeReader(levels, run, from);
    case 'field':
      return undefined;
  }
}

export function stepOf(prepared: Prepared, stage: Stage): Step {
  const none = {
    stays: false,
    drawn: undefined,
    section: undefined,
    blurred: undefined,
    field: undefined,
    other: undefined,
  };
  switch (stage.kind) {
    case 'drawn':
      return { ...none, drawn: stage };
    case 'section':
      return { ...none, section: stage };
    case 'blurred':
      return { ...none, blurred: stage };
    case 'run':
      return {
        ...none,
        stays: stage.from.kind === 'hole',
        field: stage.from.kind === 'field' ? fieldStep(stage, stage.from) : undefined,
        other: otherReader(prepared, stage),
      };
  }
}

/** What of the area lies beyond a place, as the step's source sees it. */
export const valueOf = ({ several, field, nodes }: FieldStep, x: number, y: number): number =>
  several ? beyondAt(field, x, y) : valueAt(nodes, x, y);
