import { RUNS_IN } from '../pattern/windows.ts';
import { fillRidgesFrom } from '../edit/mat.ts';
import { removeStep } from '../edit/pours.ts';
import { updatePot } from '../edit/pots.ts';
import { ridgesStep } from '../fill/ridges.ts';
import { poursOfOmbre } from '../ombre/runs.ts';
import type { Plan } from '../plan/planSchema.ts';
import { isFrom, potNamed } from '../plan/sources.ts';
import { stagePhrase } from '../setting/stage.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import type { Warning } from './warning.ts';
import { refuse, remedy, warn } from './/warning.ts';

/** What there is to say of soap that is poured on a mat, and stands on its top. */
export function matWarnings(facts: Facts): Warning[] {
  const { plan } = facts;
  const { mat } = plan.mould;
  if (!mat) return [];
  const step = ridgesStep(plan);
  const pot = potNamed(plan, step.pot);
  const about = { station: 'design', step: step.id } as const;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const graded = plan.ombres.find((o) => pot && poursOfOmbre(plan, o.id).some((p) => isFrom(p, pot.id)));
  const plain = plan.pots.filter(
    (p) => !plan.ombres.some((o) => poursOfOmbre(plan, o.id).some((q) => isFrom(q, p.id))),
  );
  const ofOmbre: Warning[] =
    pot && graded
      ? [
          refuse(
            about,
            'ridges-of-ombre',
            `Pot ${pot.letter} has its colour pass by pass: there is none in its jug when the hollows of the mat are filled. Fill them out of a pot of their own.`,
            plain
              .slice(0, 2)
              .map((p) => remedy(`Out of pot ${p.letter}`, (q: Plan) => fillRidgesFrom(q, step.id, p.id))),
          ),
        ]
      : [];
  const thick: Warning[] =
    pot && pot.stage > RUNS_IN.most
      ? [
          warn(
            about,
            'ridges-thick',
            `Hollows ${say(mat.reliefMm)} deep fill with batter that is ${stagePhrase(RUNS_IN.most)} at most; pot ${pot.letter} is to be ${stagePhrase(pot.stage)}, and bridges them: the top has holes.`,
            [
              remedy(`Pot ${pot.letter} when it is ${stagePhrase(1)}`, (p) =>
                updatePot(p, pot.id, { stage: 1 }),
              ),
            ],
          ),
        ]
      : [];
  const squashed = plan.steps.flatMap((s): Warning[] =>
    s.kind === 'top'
      ? [
          refuse(
            { station: 'design', step: s.id },
            'top-on-base',
            'The loaf stands on its top: what is poured last is its base, and what is put on it would be squashed.',
            [remedy('Leave it out', (p) => removeStep(p, s.id))],
          ),
        ]
      : [],
  );
  const rough: Warning[] = facts.stack.layers.at(-1)?.rough
    ? [
        warn(
          about,
          'base-rough',
          'What is poured last is the base that the bars stand on, and it is left rough: level it.',
        ),
      ]
    : [];
  return [...ofOmbre, ...thick, ...squashed, ...rough];
}
