import type { DripLineDatabase } from '../database.ts';
import { stayAlive } from '../page.ts';
import { draftOf, dropDraft, keepDraft, leaveDraft } from '../tables/drafts.ts';
import type { WorkState } from './keepingSlice.ts';
import { savePlan, type Held, type PlanRecord } from '../tables/plans.ts';
import { newRevision } from '../tables/revisions.ts';
import { withStorage } from './storage.ts';
import { troubleOf, type Trouble } from './trouble.ts';

/** An edit is stored this long after it at the latest, and what was edited meanwhile with it, ms. */
const SAVE_MS = 250;

/** After a failed save: how long until the next try, ms. */
const RETRY_MS = 4000;

/** One plan that this page works on. */
interface Work {
  held: Held;
  /** what of it is stored: in its record, or in a conflict as a draft. Undefined: nothing yet */
  stored: Held | undefined;
  /** the writing that the work builds on; null: the plan was not stored */
  base: string | null;
  /** in a conflict: what is stored instead, null where it was deleted. Undefined: there is no conflict */
  theirs: PlanRecord | null | undefined;
  trouble: Trouble | null;
  left: boolean;
  drafted: boolean;
  timer: ReturnType<typeof setTimeout> | undefined;
  saving: Promise<void> | undefined;
}

const isConflict = (work: Work): boolean => work.theirs !== undefined;

export interface Begun {
  readonly held: Held;
  readonly base: string | null;
  /** the work is stored as it is */
  readonly stored: boolean;
  /** a draft of this page's is stored */
  readonly drafted?: boolean;
  readonly theirs?: PlanRecord | null;
}

export interface KeeperTells {
  readonly work: (planId: string, work: WorkState) => void;
  readonly ended: (planId: string) => void;
  readonly failed: (trouble: Trouble) => void;
  readonly answered: () => void;
}

/**
 * Keeps what is worked on: each plan that was edited in this page, until all of it is stored, also once its
 * workbench is left. A save builds on the writing it has seen; where another page has written meanwhile, the
 * work is kept as a draft beside it until the maker decides. A save that fails is tried again for as long as
 * the page is there.
 */
export class Keeper {
  readonly #db: DripLineDatabase;
  readonly #tells: KeeperTells;
  readonly #works = new Map<string, Work>();
  /** writings that this page has asked for: one that was answered too late is its own all the same */
  readonly #own = new Set<string>();

  constructor(db: DripLineDatabase, tells: KeeperTells) {
    this.#db = db;
    this.#tells = tells;
  }

  begin(planId: string, { held, base, stored, drafted = false, theirs }: Begun): void {
    clearTimeout(this.#works.get(planId)?.timer);
    const work: Work = {
      held,
      base,
      theirs,
      drafted,
      stored: stored || (drafted && theirs !== undefined) ? held : undefined,
      trouble: null,
      left: false,
      timer: undefined,
      saving: undefined,
    };
    this.#works.set(planId, work);
    this.#schedule(work);
    this.#tell(work);
  }

  /** A new plan that storage has refused: it stays in this page, as if it had been left. */
  keep(held: Held): void {
    this.begin(held.plan.id, { held, base: null, stored: false });
    this.leave(held.plan.id);
  }

  /**
   * The work on a plan that is still going on here: it was left with something unstored, or is in conflict.
   */
  unfinished(planId: string): Held | undefined {
    const work = this.#works.get(planId);
    return work && (work.held !== work.stored || work.theirs !== undefined) ? work.held : undefined;
  }

  /** The workbench shows this plan again. */
  resume(planId: string): void {
    const work = this.#works.get(planId);
    if (!work) return;
    work.left = false;
    this.#tell(work);
  }

  changed(held: Held): void {
    const work = this.#works.get(held.plan.id);
    if (!work) return;
    const { plan, past, future } = work.held;
    if (plan === held.plan && past === held.past && future === held.future) return;
    work.held = held;
    this.#schedule(work);
    this.#tell(work);
  }

  /** Whether that writing of a plan is what is worked on here, or was asked for here. */
  isOfHere(planId: string, revision: string | undefined): boolean {
    const work = this.#works.get(planId);
    if (!work || work.theirs !== undefined) return false;
    return revision === (work.base ?? undefined) || (revision !== undefined && this.#own.has(revision));
  }

  /**
   * What another page stored: true where it is to be shown instead of what is here, as nothing here is
   * unstored.
   */
  otherStored(planId: string, record: PlanRecord | undefined): boolean {
    const work = this.#works.get(planId);
    if (!work) return false;
    if (record?.revision === (work.base ?? undefined)) {
      // put back as it was: what is here builds on it again
      if (work.theirs !== undefined) this.#decide(work, work.base);
      return false;
    }
    if (record && this.#own.has(record.revision)) return false;
    const idle = work.theirs === undefined && work.held === work.stored && !work.saving;
    if (idle) return record !== undefined;
    // a save on its way finds out by itself
    if (work.theirs === undefined) return false;
    work.theirs = record ?? null;
    this.#tell(work);
    return false;
  }

  /** The maker's decision for what is here: it goes over what is stored. */
  overrule(planId: string): Promise<boolean> {
    const work = this.#works.get(planId);
    if (work) this.#decide(work, work.theirs?.revision ?? null);
    return this.flush(planId);
  }

  /** The maker's decision against what is here. */
  async giveUp(planId: string): Promise<void> {
    const work = this.#works.get(planId);
    if (!work) return;
    clearTimeout(work.timer);
    this.#works.delete(planId);
    await work.saving;
    this.#tells.ended(planId);
    if (work.drafted) await withStorage(this.#db, () => dropDraft(this.#db, planId));
  }

  /** The workbench of a plan is left: what is unstored goes on being stored. */
  leave(planId: string): void {
    const work = this.#works.get(planId);
    if (!work) return;
    work.left = true;
    this.#tell(work);
    void this.flush(planId).then(() => {
      this.#endIfDone(work);
    });
  }

  /** Store now what is unstored. False where it could not be; then it is tried again later. */
  async flush(planId?: string): Promise<boolean> {
    const works = [...this.#works.values()].filter((w) => planId === undefined || w.held.plan.id === planId);
    await Promise.all(
      works.map(async (work) => {
        await work.saving;
        if (work.held !== work.stored) await this.#save(work);
      }),
    );
    return works.every((w) => w.held === w.stored);
  }

  /** The page is going away: hand over what is unstored in one breath. */
  leaveDrafts(): void {
    for (const work of this.#works.values()) {
      if (work.held === work.stored) continue;
      leaveDraft(this.#db, draftOf(work.held, work.base));
      work.drafted = true;
    }
  }

  /** Something would be lost if the page went away now: storage refuses it. */
  get wouldLose(): boolean {
    return [...this.#works.values()].some((w) => w.trouble !== null && w.held !== w.stored);
  }

  #decide(work: Work, base: string | null): void {
    work.base = base;
    work.theirs = undefined;
    work.stored = undefined;
    this.#schedule(work);
    this.#tell(work);
  }

  #schedule(work: Work): void {
    if (work.timer !== undefined || work.saving || work.held === work.stored) return;
    work.timer = setTimeout(
      () => {
        void this.#save(work);
      },
      work.trouble === null ? SAVE_MS : RETRY_MS,
    );
  }

  #save(work: Work): Promise<void> {
    clearTimeout(work.timer);
    work.timer = undefined;
    work.saving ??= this.#write(work)
      .then(
        () => {
          work.trouble = null;
          this.#tells.answered();
        },
        (error: unknown) => {
          work.trouble = troubleOf(error);
          this.#tells.failed(work.trouble);
        },
      )
      .finally(() => {
        work.saving = undefined;
        this.#schedule(work);
        this.#tell(work);
        this.#endIfDone(work);
      });
    this.#tell(work);
    return work.saving;
  }

  async #write(work: Work): Promise<void> {
    const { held } = work;
    const db = this.#db;
    await stayAlive();
    if (work.theirs === undefined) {
      const revision = newRevision();
      this.#own.add(revision);
      const written = await withStorage(db, () => savePlan(db, held, work.base, revision));
      if (written.kind === 'written') {
        work.base = revision;
        work.stored = held;
        if (work.drafted) await withStorage(db, () => dropDraft(db, held.plan.id));
        work.drafted = false;
        return;
      }
      const { theirs } = written;
      if (theirs && this.#own.has(theirs.revision)) {
        // a save of this page's that was answered too late
        work.base = theirs.revision;
        return;
      }
      work.theirs = theirs ?? null;
    }
    await withStorage(db, () => keepDraft(db, draftOf(held, work.base)));
    work.drafted = true;
    // it may have been decided meanwhile
    if (isConflict(work)) work.stored = held;
  }

  #endIfDone(work: Work): void {
    const { id } = work.held.plan;
    if (!work.left || work.held !== work.stored || work.saving || this.#works.get(id) !== work) return;
    // a conflict is kept as a draft: the shelf lists it from there
    this.#works.delete(id);
    this.#tells.ended(id);
  }

  #tell(work: Work): void {
    if (this.#works.get(work.held.plan.id) !== work) return;
    const unstored = work.held !== work.stored;
    const save =
      work.theirs !== undefined
        ? 'conflict'
        : !unstored
          ? 'saved'
          : work.trouble !== null
            ? 'failed'
            : work.saving
              ? 'saving'
              : 'unsaved';
    this.#tells.work(work.held.plan.id, {
      save,
      trouble: unstored ? work.trouble : null,
      theirs: work.theirs ?? null,
      left: work.left ? work.held.plan : null,
    });
  }
}
