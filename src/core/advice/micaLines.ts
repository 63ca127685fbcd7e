import { labOfHex } from '../colour/lab.ts';
import { lainOnSide } from '../cut/way.ts';
import { dustedDm2, updateMicaLine, USUAL_G_PER_DM2 } from '../edit/micaLine.ts';
import { removeStep } from '../edit/pours.ts';
import { bodiesOf } from '../pattern/blocks.ts';
import { isOpen } from '../pattern/body.ts';
import { layerUnder } from '../plan/scrapes.ts';
import type { MicaLine } from '../plan/stepSchema.ts';
import { formatMass, formatShort } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { note, refuse, remedy, warn } from './/warning.ts';

/** More than this on 100 cm2, and layers part there; a judgement, no source. */
const PARTS_G_PER_DM2 = 2;

/** Darker than this (CIELAB L*) it is seen where a wire drags it; a judgement, no source. */
const DARK = 45;

function ofLine(facts: Facts, line: MicaLine): Warning[] {
  const { plan, stack, colours } = facts;
  const about = { station: 'design', step: line.id } as const;
  const leave = remedy('Leave the line out', (p: Facts['plan']) => removeStep(p, line.id));
  const pour = layerUnder(plan, line);
  if (!pour)
    return [
      refuse(
        about,
        'line-on-nothing',
        'Nothing is poured before it: the line would lie on the floor of the mould.',
        [leave],
      ),
    ];
  const layer = stack.layers.find((l) => l.pour.id === pour.id);
  if (!layer) return [];
  const name = plan.colorants.find((c) => c.id === line.colorant)?.name ?? 'it';
  const onEach = line.massG / dustedDm2(layer);
  const usual = Math.round(dustedDm2(layer) * USUAL_G_PER_DM2 * 10) / 10;
  const thick: Warning[] =
    onEach > PARTS_G_PER_DM2
      ? [
          warn(
            about,
            'line-parts',
            `${formatMass(line.massG, 'g', plan.units.fineStepG)} of ${name} is ${formatShort(onEach, 1)} g on 100 cm²: above ${PARTS_G_PER_DM2} g bars part along it.`,
            [
              remedy(`Only ${formatMass(usual, 'g', plan.units.fineStepG)}`, (p) =>
                updateMicaLine(p, line.id, { massG: usual }),
              ),
            ],
          ),
        ]
      : [];
  const lightness = labOfHex(colours.pours.get(line.id) ?? '#ffffff')[0];
  const dark: Warning[] =
    lightness < DARK && plan.cut.onSide !== true && plan.cut.way === undefined
      ? [
          note(
            about,
            'line-smears',
            `A dark line of ${name} smears down the faces where a bar is cut from the top. Cut on its side it does not.`,
            [remedy('Cut on its side', lainOnSide(true))],
          ),
        ]
      : [];
  const block = bodiesOf(facts).find(
    (b) => b.kind === 'block' && b.block.layers.some((l) => l.pour.id === pour.id),
  );
  const carried: Warning[] =
    block?.kind === 'block' && !isOpen(block.block.content) && block.block.layers.at(-1)?.pour.id !== pour.id
      ? [
          note(
            about,
            'line-carried',
            'What is poured next pushes batter about that is still fluid, and the line with it, as the pictures show. For a straight line let the layer set first.',
            [leave],
          ),
        ]
      : [];
  return [...thick, ...dark, ...carried];
}

/** What there is to say of lines of colorant between layers. */
export const micaLineWarnings = (facts: Facts): Warning[] =>
  facts.plan.steps.flatMap((s) => (s.kind === 'mica' ? ofLine(facts, s) : []));
