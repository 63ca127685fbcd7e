import type { Pot } from '../../plan/planSchema.ts';
import { heldPots } from '../../plan/held.ts';
import { batterIn } from '../../plan/recipes.ts';
import { potsOf, pouredPots, poursFrom } from '../../plan/sources.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import type { Prepares, Quickens } from '../../timing/course.ts';
import type { Grams } from '../../units/quantity.ts';
import type { PotId } from '../../validate/ids.ts';
import { SCENT_STIRS, STIRS } from '../habits.ts';
import { isFor, RATE_SD, RECIPE, scentsOf, sdAfter, type ScentDose } from '../scents.ts';
import { speedOf } from '../speed.ts';
import { startStage } from '../start.ts';
import type { Draft } from './draft.ts';
import { preparing, scentAtOnce } from './stirredIn.ts';

/** Batter in its jugs: made, scented, coloured, and made ready for each pour. */
export class Jugs {
  private readonly draft: Draft;
  private readonly doses: readonly ScentDose[];
  private readonly coloured = new Set<PotId>();
  private readonly made = new Set<PotId>();
  private readonly own: PotId[] = [];
  /** there is a recipe for every pot */
  readonly known: boolean;

  constructor(draft: Draft) {
    this.draft = draft;
    const { known, perMinute } = draft.plan.clock;
    draft.doubts.push({
      name: RECIPE,
      sd: known && perMinute === undefined ? sdAfter(known.readings) : RATE_SD,
    });
    const { doses, doubts } = scentsOf(draft.plan.batter.fragrances, 1);
    this.doses = doses;
    draft.doubts.push(...doubts);
    this.known = this.addPots();
  }

  private addPots(): boolean {
    const { plan, laid } = this.draft;
    const used = new Set([...pouredPots(plan), ...heldPots(plan)]);
    for (const pot of plan.pots) {
      if (!used.has(pot.id)) continue;
      const recipe = laid.recipes.ofPot(pot.id);
      const speed = recipe && speedOf(batterIn(plan, pot), recipe, plan.clock);
      if (!speed) return false;
      this.own.push(pot.id);
      this.draft.addPot(
        { pot, ofSecond: false },
        {
          perMinute: speed.perMinute,
          doubt: 0,
          there: plan.divide.kind === 'after-emulsion',
          start: startStage(plan),
        },
      );
    }
    return true;
  }

  private quickens(pot: PotId, when: ScentDose['when']): readonly Quickens[] {
    return this.doses.filter((d) => d.when === when && isFor(d, pot)).map((d) => d.quickens(pot));
  }

  /** Minute 0: the batch is there, scented as a whole where it is, and shared out; or every portion gets its lye. */
  begin(): void {
    const { plan, habits } = this.draft;
    if (plan.divide.kind === 'before-lye') {
      if (plan.divide.lye === 'together') for (const pot of this.largestFirst()) this.make(pot);
    } else this.share();
    if (habits.colouring === 'all-first') for (const pot of this.own) this.colour(pot);
  }

  /** What is poured of most comes first; a pour of several pots counts for each alike. */
  private largestFirst(): readonly PotId[] {
    const { draft, own } = this;
    const sums = new Map<PotId, Grams>();
    for (const { use, stack } of draft.laid.moulds)
      for (const { pour, massG } of stack.layers) {
        const of = potsOf(pour);
        for (const pot of of) sums.set(pot, (sums.get(pot) ?? 0) + (massG * use.copies) / of.length);
      }
    return own.toSorted((a, b) => (sums.get(b) ?? 0) - (sums.get(a) ?? 0));
  }

  private share(): void {
    const { draft, own } = this;
    scentAtOnce(draft, own, (pot) => this.quickens(pot, 'batch'));
    if (own.length > 1)
      draft.add(
        { key: 'divide', does: 'divide', minutes: draft.habits.divideMin * own.length, pots: [] },
        {},
        'jugs',
      );
  }

  /** A portion gets its lye and is blended, with all that was ready in its jug. */
  private make(id: PotId): void {
    const { draft } = this;
    const pot = draft.pot(id);
    if (!pot) return;
    this.made.add(id);
    const quickens = this.quickens(id, 'batch');
    const scented = quickens.length > 0 ? { quickens } : {};
    draft.add(
      {
        key: `make ${id}`,
        does: 'make',
        minutes: draft.habits.makeMin,
        pots: [draft.numberOf(id)],
        makes: true,
        ...scented,
      },
      { pot },
      'jugs',
    );
  }

  /** Colour, and what is scented with it, is stirred into a pot; a portion has its colour in its oils already. */
  colour(id: PotId): void {
    const { draft, coloured } = this;
    const pot = draft.pot(id);
    if (!pot || coloured.has(id)) return;
    coloured.add(id);
    const scents = this.quickens(id, 'colour');
    const colours = draft.plan.divide.kind === 'after-emulsion' && this.hasColour(pot);
    if (!colours && scents.length === 0) return;
    const { colourMin, scentMin, stirrer } = draft.habits;
    draft.add(
      {
        key: `colour ${id}`,
        does: 'colour',
        minutes: (colours ? colourMin : 0) + (scents.length > 0 ? scentMin : 0),
        pots: [draft.numberOf(id)],
        adds: (colours ? STIRS[stirrer] : 0) + (scents.length > 0 ? SCENT_STIRS : 0),
        ...(scents.length > 0 ? { quickens: scents } : {}),
      },
      { pot },
      'jugs',
    );
  }

  private hasColour({ id, colorants, colour }: Pot): boolean {
    return (
      colorants.length > 0 || colour !== undefined || poursFrom(this.draft.plan, id).some((p) => p.ombre)
    );
  }

  /** An ombre in one pot gets a little more colour before each pass after its first. */
  darken(step: Pour): void {
    const { draft } = this;
    const ombre = draft.plan.ombres.find((o) => o.id === step.ombre?.id);
    const pot = draft.pot(step.pot);
    if (!pot || ombre?.school !== 'one-pot' || !this.coloured.has(step.pot)) return;
    draft.add(
      {
        key: `colour ${step.id}`,
        does: 'colour',
        minutes: draft.habits.colourMin / 2,
        pots: [draft.numberOf(step.pot)],
        adds: STIRS[draft.habits.stirrer] / 2,
      },
      { pot },
      'jugs',
    );
  }

  /** What is done to a pot right before it is drawn on, by a pour or something else. */
  prepares(id: PotId, pour?: Pour): readonly Prepares[] {
    const { draft } = this;
    const place = draft.numberOf(id);
    const { divide } = draft.plan;
    const byJug = divide.kind === 'before-lye' && divide.lye === 'jug-by-jug' && !this.made.has(id);
    const making: readonly Prepares[] = byJug
      ? [
          {
            pot: place,
            minutes: draft.habits.makeMin,
            adds: 0,
            quickens: this.quickens(id, 'batch'),
            makes: true,
          },
        ]
      : [];
    this.made.add(id);
    const alone = this.isPouredOnce(id);
    const quickens = pour
      ? this.doses
          .filter(
            (d) =>
              d.when === 'pour' &&
              isFor(d, id) &&
              (d.fromPour === undefined ? alone : d.fromPour === pour.id),
          )
          .map((d) => d.quickens(id))
      : [];
    return [...making, ...preparing(draft, place, draft.pot(id), quickens)];
  }

  /** Scents that go into a cup for one pour alone, of a pot that others are poured of too. */
  cups(id: PotId): readonly Quickens[] {
    if (this.isPouredOnce(id)) return [];
    return this.doses
      .filter((d) => d.when === 'pour' && isFor(d, id) && d.fromPour === undefined)
      .map((d) => d.quickens(id));
  }

  private isPouredOnce(id: PotId): boolean {
    const { plan } = this.draft;
    return poursFrom(plan, id).length === 1 && !heldPots(plan).has(id);
  }
}
