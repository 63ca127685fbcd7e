import type { ActId, ActOf } from '../../day/act.ts';
import type { Pot } from '../../plan/planSchema.ts';
import { heldPots } from '../../plan/held.ts';
import { batterIn } from '../../plan/recipes.ts';
import { potNamed, pouredPots, poursFrom } from '../../plan/sources.ts';
import type { Pour } from '../../plan/stepSchema.ts';
import type { Prepares, Quickens } from '../../timing/course.ts';
import type { PotId } from '../../validate/ids.ts';
import { WARMTH } from '../../timing/estimates.ts';
import { SCENT_STIRS, STIRS } from '../../plan/habits.ts';
import { isFor, RECIPE, scentsOf, type ScentDose } from '../scents.ts';
import { speedOf } from '../speed.ts';
import { startStage } from '../start.ts';
import type { CourseDraft } from './draft.ts';
import { preparing, scentAtOnce } from './stirredIn.ts';

/** Batter in its jugs: made, scented, coloured, and made ready for each pour. */
export class Jugs {
  private readonly draft: CourseDraft;
  private readonly doses: readonly ScentDose[];
  private readonly made = new Set<PotId>();
  private readonly own: PotId[] = [];
  /** there is a recipe for every pot */
  readonly known: boolean;

  constructor(draft: CourseDraft) {
    this.draft = draft;
    const { doses, doubts } = scentsOf(draft.plan.batter.fragrances, 1);
    this.doses = doses;
    const sds = this.addPots(1 + doubts.length);
    this.known = sds !== undefined;
    draft.doubts.push({ name: RECIPE, sd: sds?.own ?? 0 }, ...doubts, {
      name: WARMTH,
      sd: sds?.warmth ?? 0,
    });
  }

  /**
   * How far the rate of their recipes is out, and what their temperatures make of it, of those that are out
   * furthest; undefined where one has none.
   */
  private addPots(warmth: number): { readonly own: number; readonly warmth: number } | undefined {
    const { plan, laid } = this.draft;
    const sds = { own: 0, warmth: 0 };
    const used = new Set([...pouredPots(plan), ...heldPots(plan)]);
    for (const pot of plan.pots) {
      if (!used.has(pot.id)) continue;
      const recipe = laid.recipes.ofPot(pot.id);
      const speed = recipe && speedOf(batterIn(plan, pot), recipe, plan.clock);
      if (!speed) return undefined;
      sds.own = Math.max(sds.own, speed.sd);
      sds.warmth = Math.max(sds.warmth, speed.warmthSd);
      this.own.push(pot.id);
      this.draft.addPot(
        { pot, ofSecond: false },
        {
          perMinute: speed.perMinute,
          doubt: 0,
          warmth,
          there: plan.divide.kind === 'after-emulsion',
          start: startStage(plan),
        },
      );
    }
    return sds;
  }

  private quickens(pot: PotId, ...when: readonly ScentDose['when'][]): readonly Quickens[] {
    return this.doses.filter((d) => when.includes(d.when) && isFor(d, pot)).map((d) => d.quickens(pot));
  }

  /** What is in the oils of a portion as it gets its lye: what would be scented with its colour too. */
  private inOils = (pot: PotId): readonly Quickens[] => this.quickens(pot, 'batch', 'colour');

  /** Minute 0: a batch is there, scented as a whole where it is. */
  begin(): void {
    if (this.draft.plan.divide.kind === 'after-emulsion')
      scentAtOnce(this.draft, this.own, (pot) => this.quickens(pot, 'batch'));
  }

  /** Batter weighed out into its jugs, one after another; the only one stays where it is. */
  share(of: readonly ActId[]): void {
    if (this.own.length > 1)
      this.draft.add(
        { does: 'divide', minutes: this.draft.habits.divideMin * of.length, pots: [] },
        { of },
        'jugs',
      );
  }

  /** A portion gets its lye and is blended, with all that was ready in its jug. */
  make(of: ActId, pot: Pot): void {
    const { draft } = this;
    this.made.add(pot.id);
    const quickens = this.inOils(pot.id);
    draft.add(
      {
        does: 'make',
        minutes: draft.habits.makeMin,
        pots: [draft.numberOf(pot.id)],
        makes: true,
        ...(quickens.length > 0 ? { quickens } : {}),
      },
      { of: [of], pot },
      'jugs',
    );
  }

  /**
   * Colour, and what is scented with it, is stirred into a pot; a portion has its colour in its oils, and an
   * ombre in one pot gets it pass by pass.
   */
  colour(of: ActId, pot: Pot): void {
    const { draft } = this;
    const scents = this.quickens(pot.id, 'colour');
    const colours = draft.plan.divide.kind === 'after-emulsion' && this.hasColour(pot);
    if (!colours && scents.length === 0) return;
    const { colourMin, scentMin, stirrer } = draft.habits;
    draft.add(
      {
        does: 'colour',
        minutes: (colours ? colourMin : 0) + (scents.length > 0 ? scentMin : 0),
        pots: [draft.numberOf(pot.id)],
        adds: (colours ? STIRS[stirrer] : 0) + (scents.length > 0 ? SCENT_STIRS : 0),
        ...(scents.length > 0 ? { quickens: scents } : {}),
      },
      { of: [of], pot },
      'jugs',
    );
  }

  /**
   * An ombre in one pot gets its colour before its first pass, and a little more before each that comes
   * after.
   */
  darken({ id, pot, first }: ActOf<'stir-at-pass'>): void {
    const { habits } = this.draft;
    const part = first ? 1 : 0.5;
    this.draft.add(
      {
        does: 'colour',
        minutes: habits.colourMin * part,
        pots: [this.draft.numberOf(pot.id)],
        adds: STIRS[habits.stirrer] * part,
      },
      { of: [id], pot },
      'jugs',
    );
  }

  private hasColour({ id, colorants, colour }: Pot): boolean {
    const ombres = poursFrom(this.draft.plan, id).flatMap(
      (p) => this.draft.plan.ombres.find((o) => o.id === p.ombre?.id) ?? [],
    );
    if (ombres.some((o) => o.school === 'one-pot')) return false;
    return colorants.length > 0 || colour !== undefined || ombres.length > 0;
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
            quickens: this.inOils(id),
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
    return [...making, ...preparing(draft, place, potNamed(draft.plan, id), quickens)];
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
