import { beforeSettling, lettersOf, type PouredLayer } from '../fill/layers.ts';
import { setAmount } from '../edit/pours.ts';
import { endLevel, setTilt, setWhileFluid } from '../edit/tilt.ts';
import { waitedStage, waitsBeforeTurns, earlyTurns } from '../edit/turns.ts';
import { bareWalls } from '../fill/bareWall.ts';

import { spillOffset, steepestTilt, tiltHolds } from '../mould/spill.ts';
import { isLevel } from '../mould/tilt.ts';
import { MOST_STEPS, type Plan } from '../plan/planSchema.ts';
import { stageFigure, stagePhrase } from '../setting/stage.ts';
import { formatLength, formatMass, formatShort } from '../units/format.ts';
import { lowerFirst } from '../units/words.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { note, refuse, remedy, warn } from './/warning.ts';

/** Less than this is rounding, g. */
const WORTH_SAYING_G = 1;

const about = (
  facts: Facts,
  layer: PouredLayer,
): { name: string; step: string; mass: (g: number) => string } => {
  const nth = layer.nth + 1;
  const letter = lettersOf(layer);
  return {
    name: `Pour ${nth} (pot ${letter})`,
    step: layer.pour.id,
    mass: (g) => formatMass(g, facts.plan.units.mass, 1),
  };
};

function spills(facts: Facts, layer: PouredLayer): Warning[] {
  if (isLevel(layer.tilt)) return [];
  const { densityGMl } = layer;
  const holdsMl = tiltHolds(layer.room, layer, layer.tilt);
  const overG = (layer.volumeMl - holdsMl) * densityGMl;
  if (overG < WORTH_SAYING_G) return [];
  const { name, step, mass } = about(facts, layer);
  const steepest = Math.floor(steepestTilt(layer.room, layer, layer.tilt, layer.volumeMl) * 10) / 10;
  const size = Math.max(Math.abs(layer.tilt.rollDeg), Math.abs(layer.tilt.pitchDeg));
  const tenth = (x: number): number => Math.trunc((x / size) * steepest * 10) / 10;
  const gentler = { rollDeg: tenth(layer.tilt.rollDeg), pitchDeg: tenth(layer.tilt.pitchDeg) };
  const fitsG = Math.floor(holdsMl * densityGMl);
  return [
    refuse(
      { station: 'design', step },
      'spills',
      `${name} spills by ${mass(overG)}: at this tilt the mould holds ${mass(Math.max(0, fitsG))} more, and the steepest for this pour is ${formatShort(steepest, 1)}°.`,
      [
        ...(steepest > 0
          ? [
              remedy(`Tilt no steeper than ${formatShort(steepest, 1)}°`, (p: Plan) =>
                setTilt(p, step, gentler),
              ),
            ]
          : []),
        ...(fitsG >= 1
          ? [
              remedy(`Pour only ${mass(fitsG)}`, (p: Plan) =>
                setAmount(p, step, { kind: 'mass', massG: fitsG }),
              ),
            ]
          : []),
      ],
    ),
  ];
}

/** Batter nearer to the rim than this runs over when the mould is touched, mm. Common practice, no source. */
const NEAR_RIM_MM = 2;

/** A propped mould that is full to just below its rim. */
function brimming(facts: Facts, layer: PouredLayer): Warning[] {
  if (isLevel(layer.tilt)) return [];
  const roomMm = spillOffset(layer.room, layer.up) - layer.offset;
  if (roomMm >= NEAR_RIM_MM || roomMm < 0) return [];
  const { name, step } = about(facts, layer);
  return [
    note(
      { station: 'design', step },
      'near-rim',
      `${name} comes within ${formatLength(Math.round(roomMm * 10) / 10, facts.plan.units.length)} of the rim as the mould stands propped: pour the last of it slowly, and do not move it until it has set.`,
    ),
  ];
}

/** The mould stands propped when all is in. */
function endsPropped({ plan, stack }: Facts): Warning[] {
  const last = plan.steps.findLast((s) => s.kind === 'tilt');
  if (!last || isLevel(last) || stack.layers.length === 0) return [];
  return [
    note(
      { station: 'design', step: last.id },
      'ends-propped',
      `All is in while the mould stands propped by ${formatShort(Math.max(Math.abs(last.rollDeg), Math.abs(last.pitchDeg)), 1)}°: it sets so, and its top slopes.`,
      [remedy('Finish level', endLevel)],
    ),
  ];
}

function bare(facts: Facts, layer: PouredLayer): Warning[] {
  const { plan } = facts;
  const { densityGMl } = layer;
  const worst = bareWalls(layer.room, layer).sort((a, b) => b.gapMm - a.gapMm)[0];
  if (!worst) return [];
  const { name, step, mass } = about(facts, layer);
  const gap = formatLength(worst.gapMm, plan.units.length);
  const level = isLevel(layer.tilt);
  const wantedG = Math.ceil((layer.volumeMl + worst.missingMl) * densityGMl);
  const missing = mass(Math.max(1, worst.missingMl * densityGMl));
  return [
    warn(
      { station: 'design', step },
      level ? 'flat-wedge' : 'short-of-wall',
      level
        ? `${name} does not cover the slope: it ends ${gap} from the ${worst.wall} wall in a flat wedge. ${missing} more covers it.`
        : `${name} is too little to reach the ${worst.wall} wall: it ends ${gap} short. ${missing} more reaches it.`,
      [remedy(`Pour ${mass(wantedG)}`, (p) => setAmount(p, step, { kind: 'mass', massG: wantedG }))],
    ),
  ];
}

function slumps(facts: Facts): Warning[] {
  const { plan, stack } = facts;
  const early = earlyTurns(plan, stack.layers.map(beforeSettling));
  return early.map((turn): Warning => {
    const { name, step } = about(facts, turn.layer);
    const wait = remedy(`Wait until ${stagePhrase(waitedStage(turn))} before turning`, (p: Plan) =>
      waitsBeforeTurns(p, [turn]),
    );
    const fluid = remedy('Set it level while it is fluid: it runs level', (p: Plan) =>
      setWhileFluid(p, turn.tiltId, true),
    );
    const all = remedy('Wait so before every turn', (p: Plan) => waitsBeforeTurns(p, early));
    const room = MOST_STEPS - plan.steps.length;
    return warn(
      { station: 'design', step },
      'slumps',
      `Turned by ${formatShort(turn.degrees, 1)}° after ${lowerFirst(name)}, its slope would slump: it holds from ${stageFigure(turn.neededStage)}, and it is ${stageFigure(turn.heldStage)} then. An estimate.`,
      [
        ...(room >= 1 ? [wait] : []),
        ...(early.length > 1 && room >= early.length ? [all] : []),
        ...(turn.toLevel ? [fluid] : []),
      ],
    );
  });
}

/** Spills, walls left bare, slopes that would slump. Nothing while the pours do not fit at all. */
export function tiltWarnings(facts: Facts): Warning[] {
  if (facts.stack.fault) return [];
  const perLayer = facts.stack.layers
    .map(beforeSettling)
    .flatMap((l) => [...spills(facts, l), ...brimming(facts, l), ...bare(facts, l)]);
  return [...perLayer, ...slumps(facts), ...endsPropped(facts)];
}
