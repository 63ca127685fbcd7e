import { takenOut } from './bookOfPlan.ts';
import { isRecord } from '../validate/isRecord.ts';

const listOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? (value as unknown[]) : []);

/**
 * Version 1 wrote a colorant's name into every pot that took it. Version 2 keeps each colorant once, in the
 * plan, and pots name it by id. Names become ids in the order they are met; a pot keeps the colour it was
 * given.
 */
export function v1to2(body: Record<string, unknown>): Record<string, unknown> {
  const colorants: { readonly id: string; readonly name: unknown }[] = [];
  /** the colorant of that name; another one when the pot has it already */
  const idOf = (name: unknown, inPot: Set<string>): string => {
    const known = colorants.find((c) => c.name === name && !inPot.has(c.id));
    const id = known?.id ?? `k${colorants.length + 1}`;
    if (!known) colorants.push({ id, name });
    inPot.add(id);
    return id;
  };
  const linesOf = (lines: unknown): readonly unknown[] => {
    const inPot = new Set<string>();
    return listOf(lines).map((line) => {
      if (!isRecord(line)) return line;
      const { id: _id, name, ...rest } = line;
      return { colorant: idOf(name, inPot), ...rest };
    });
  };
  const pots = Array.isArray(body['pots'])
    ? listOf(body['pots']).map((pot) =>
        isRecord(pot) ? { ...pot, colorants: linesOf(pot['colorants']) } : pot,
      )
    : body['pots'];
  return { ...body, pots, colorants, ombres: [] };
}

/**
 * Version 3 only adds fields that may be left out: a frozen liquid, what a slab is made for, a colorant's
 * pale dose.
 */
const v2to3 = (body: Record<string, unknown>): Record<string, unknown> => body;

/** Where version 3 stirred an additive in: with portions made ready before the lye, into the jugs' oils. */
const v3Moment = (into: unknown, portions: boolean): unknown => {
  if (into === 'lye') return 'cooled-lye';
  return into === 'trace' && portions ? 'oils' : into;
};

/** What version 3 noted of a layer, as entries of a book. */
function eventsOf({ pour, pouredG, added }: Record<string, unknown>, at: unknown): object[] {
  return [
    ...(pouredG === undefined ? [] : [{ at, pour, does: 'poured', massG: pouredG }]),
    ...(added === undefined ? [] : [{ at, pour, does: 'added', added }]),
  ];
}

const withoutActuals = (ombre: unknown): unknown => {
  if (!isRecord(ombre)) return ombre;
  const { actuals: _noted, ...rest } = ombre;
  return rest;
};

/**
 * Version 3 had one fragrance, and additives, each for the whole batch. From version 4 on there are doses: of
 * any addition, into the batch or some pots, at a moment. And there was one kind of mould: from version 4 on
 * others may be filled beside it. What was really poured or added stood with its ombre: from version 4 on it
 * is written in the plan's batch, as it was when the plan was last changed.
 */
function v3to4(body: Record<string, unknown>): Record<string, unknown> {
  const { batter, divide } = body;
  if (!isRecord(batter)) return body;
  const portions = isRecord(divide) && divide['kind'] === 'before-lye';
  const { fragrance, additives, partLiquids, ...rest } = batter;
  const additive = (a: unknown): unknown => {
    if (!isRecord(a)) return a;
    const { gPerKgOils, into, ...kept } = a;
    return { ...kept, doses: [{ id: 'd1', gPerKgOils, moment: v3Moment(into, portions) }] };
  };
  const scent = (f: Record<string, unknown>): unknown => {
    const { percentOfOils, when, ...kept } = f;
    const inPot = when === 'pot' ? 'colour' : when === 'batch' ? 'trace' : when;
    const gPerKgOils =
      typeof percentOfOils === 'number' ? Number((percentOfOils * 10).toPrecision(12)) : percentOfOils;
    return { id: 'f1', ...kept, doses: [{ id: 'd1', gPerKgOils, moment: portions ? 'oils' : inPot }] };
  };
  const liquid = (l: unknown): unknown => {
    if (!isRecord(l)) return l;
    const { frozen, ...kept } = l;
    return { ...kept, moment: frozen === true ? 'frozen' : 'emulsion' };
  };
  const ombres = listOf(body['ombres']);
  const events = ombres.flatMap((o) =>
    isRecord(o) ? listOf(o['actuals']).flatMap((a) => (isRecord(a) ? eventsOf(a, body['changed']) : [])) : [],
  );
  const each = (list: unknown, change: (item: unknown) => unknown): unknown =>
    Array.isArray(list) ? listOf(list).map(change) : list;
  return {
    ...body,
    others: [],
    ombres: each(body['ombres'], withoutActuals),
    ...(events.length > 0
      ? { batch: { started: body['changed'], events: events.map((e, i) => ({ id: `e${i + 1}`, ...e })) } }
      : {}),
    batter: {
      ...rest,
      partLiquids: each(partLiquids, liquid),
      additives: each(additives, additive),
      lateOils: [],
      fragrances: fragrance === undefined ? [] : [isRecord(fragrance) ? scent(fragrance) : fragrance],
    },
  };
}

/**
 * A mould as it was written while at most one column stood in it, as it is written now. A turned round one is
 * as it was.
 */
export function manyColumns(mould: unknown): unknown {
  if (!isRecord(mould) || mould['column'] === undefined) return mould;
  const { column, ...rest } = mould;
  if (!isRecord(column)) return { ...rest, columns: [column] };
  const { turnDeg, ...kept } = column;
  const turned = turnDeg === undefined || column['form'] === 'round' ? {} : { turnDeg };
  return { ...rest, columns: [{ id: 'c1', ...kept, ...turned }] };
}

/**
 * Version 5 only adds what may be left out: pours that push others aside, strokes, and a column that is
 * pulled.
 */
const v4to5 = (body: Record<string, unknown>): Record<string, unknown> => body;

/**
 * Up to version 5 at most one column stood in a mould; from version 6 on there are several, each with an id.
 */
function v5to6(body: Record<string, unknown>): Record<string, unknown> {
  const others = listOf(body['others']).map((o) =>
    isRecord(o) ? { ...o, mould: manyColumns(o['mould']) } : o,
  );
  return {
    ...body,
    mould: manyColumns(body['mould']),
    ...(Array.isArray(body['others']) ? { others } : {}),
  };
}

/**
 * Up to version 6 the pots of one batch were coloured as they were weighed out; from version 7 on that is a
 * choice.
 */
function v6to7(body: Record<string, unknown>): Record<string, unknown> {
  const { divide } = body;
  const apart = isRecord(divide) && divide['kind'] === 'before-lye';
  return apart ? body : { ...body, clock: { colouring: 'all-first' } };
}

/** One step a version: the body of version n + 1 from that of version n. */
const STEPS = [v1to2, v2to3, v3to4, v4to5, v5to6, v6to7] as const;

/** The first version whose plans have no batch in them. */
const APART = 8;

type Body = Record<string, unknown>;

/**
 * What is in a plan of an older version, as this version writes it: a plan, and the batch that was written
 * down in it.
 */
interface Found {
  readonly plan: Body;
  readonly batch?: Body;
}

/**
 * The body of a plan written by an older version as this version writes it, and the batch that was in it.
 * What is at fault in them stays so. From version 7 to 8 nothing else has changed.
 */
export function foundIn(body: Body, version: number): Found {
  if (version >= APART) return { plan: body };
  const seventh = STEPS.slice(version - 1).reduce((now, step) => step(now), body);
  return takenOut(seventh) ?? { plan: seventh };
}

/** The plan alone. */
export const migratePlan = (body: Body, version: number): Body => foundIn(body, version).plan;
