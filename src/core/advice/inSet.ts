import { setAt } from '../pattern/depthAt.ts';
import type { Stroke, Wire } from '../plan/stepSchema.ts';
import { formatLength } from '../units/format.ts';
import type { Millimetres } from '../units/quantity.ts';
import type { WarningCode } from '../result/warningCodes.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { warn } from './/warning.ts';

interface Reach {
  readonly code: WarningCode;
  /** above the floor */
  readonly lowestMm: Millimetres;
  /** what goes how deep */
  readonly what: string;
}

/** Slack for a tool that just touches what has set, mm. */
const TOUCH = 0.5;

/** A tool that would go through what a wait has set. */
export function setWarnings(facts: Facts, step: Stroke | Wire, { code, lowestMm, what }: Reach): Warning[] {
  const set = setAt(facts, step);
  if (lowestMm >= set - TOUCH) return [];
  return [
    warn(
      { station: 'design', step: step.id },
      code,
      `${what}, and what lies below ${formatLength(set, facts.plan.units.length)} has set by then: it would tear it. It is drawn as it was poured.`,
    ),
  ];
}
