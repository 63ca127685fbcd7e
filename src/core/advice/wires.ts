import { asLongAsMould, keepBelow, setWireWay } from '../edit/wire.ts';
import { depthAt } from '../pattern/depthAt.ts';
import { wireLong } from '../pattern/moves.ts';
import { roomFor, tooRound } from '../pattern/wireRoom.ts';
import { toldOf } from '../pattern/wireTold.ts';
import type { Wire } from '../plan/stepSchema.ts';
import { formatLength } from '../units/format.ts';
import type { Facts } from './facts.ts';
import { setWarnings } from './inSet.ts';
import type { Warning } from './warning.ts';
import { note, refuse, remedy, warn } from './/warning.ts';

/** A wire thinner than this, mm, hardly moves batter; a judgement, no source. */
const BARE = 3;

/** It keeps so far under the top, mm, besides half its girth. */
const UNDER_TOP = 2;

/** It comes in and goes out at most so far from a wall, mm. */
const AT_WALL = 15;

/** What keeps a straight wire from lying in this mould at all. */
function noRoom({ plan, geometry }: Facts, wire: Wire): string | undefined {
  const round = tooRound(plan.mould.shape, wire.lies);
  if (round !== undefined) return round;
  if (plan.mould.divider && plan.mould.divider.runs !== wire.lies)
    return 'The divider stands across the wire: it does not go down. Lay it along the divider.';
  const { length } = plan.units;
  const inside = wire.lies === 'lengthwise' ? geometry.floor.length : geometry.floor.width;
  const long = wireLong(wire, geometry.floor);
  return long > inside
    ? `The wire is ${formatLength(long, length)} long, and the mould's inside is ${formatLength(inside, length)}: it does not go in.`
    : undefined;
}

export function wireWarnings(facts: Facts, wire: Wire): Warning[] {
  const { plan, geometry, stack } = facts;
  const about = { station: 'design', step: wire.id } as const;
  const say = (mm: number): string => formatLength(mm, plan.units.length);
  const [low, high] =
    wire.lies === 'lengthwise' ? ['left of', 'right of'] : ['on the near side of', 'beyond'];
  const beside = (mm: number): string => `${say(Math.abs(mm))} ${mm < 0 ? low : high} the middle`;
  const deep = depthAt(facts, wire);
  if (stack.layers.length === 0 || deep <= 0) return [];
  const misfit = noRoom(facts, wire);
  if (misfit !== undefined) {
    return [
      refuse(
        about,
        'wire-no-room',
        misfit,
        wire.longMm === undefined ? [] : [remedy('As long as the mould', (p) => asLongAsMould(p, wire.id))],
      ),
    ];
  }
  const pulled = plan.steps.slice(0, plan.steps.indexOf(wire)).some((s) => s.kind === 'pull');
  const column: Warning[] =
    !pulled && geometry.rooms.some((r) => r.columns.length > 0)
      ? [
          refuse(
            about,
            'wire-at-column',
            'The column still stands where the wire goes: pull it first, or draw the wire later.',
          ),
        ]
      : [];
  const told = toldOf(wire, deep);
  if (!told)
    return [
      warn(
        about,
        'wire-misses',
        `The wire stays above the batter, which is ${say(deep)} deep: it moves nothing.`,
        [remedy('Down, along the floor and up', (p) => setWireWay(p, wire.id, 'floor', deep))],
      ),
    ];
  const set = setWarnings(facts, wire, {
    code: 'wire-in-set',
    lowestMm: told.lowestMm - wire.girthMm / 2,
    what: `The wire goes down to ${say(Math.max(0, told.lowestMm))} above the floor`,
  });
  const hasRoom = roomFor(geometry, wire.lies);
  const off = told.within.filter(([h, z]) => !hasRoom(h, z, wire.girthMm / 2));
  const [worst] = off;
  const stray: Warning[] = worst
    ? [
        refuse(
          about,
          'wire-outside',
          `The wire goes into a wall${plan.mould.divider ? ', the divider' : ''} or the floor: first ${beside(worst[0])} and ${say(Math.max(0, worst[1]))} above the floor, where half of its ${say(wire.girthMm)} does not fit.`,
          [remedy('Down, along the floor and up', (p) => setWireWay(p, wire.id, 'floor', deep))],
        ),
      ]
    : [];
  const most = Math.max(0, deep - wire.girthMm / 2 - UNDER_TOP);
  const through: Warning[] =
    told.highestMm > deep - wire.girthMm / 2
      ? [
          warn(
            about,
            'wire-through-top',
            `Between going in and going out the wire comes up to ${say(told.highestMm)}, and the batter is ${say(deep)} deep: it breaks through the top.`,
            [
              remedy(`Keep it below ${say(Math.floor(most))}`, (p) =>
                keepBelow(p, wire.id, Math.floor(most)),
              ),
            ],
          ),
        ]
      : [];
  const width = wire.lies === 'lengthwise' ? geometry.most.width : geometry.most.length;
  const far = [told.inAtMm, told.outAtMm].filter(
    (mm) => width / 2 - Math.abs(mm) > AT_WALL + wire.girthMm / 2,
  );
  const away: Warning[] = far.map((mm) =>
    warn(
      about,
      'wire-off-wall',
      `The wire ${mm === told.inAtMm ? 'comes in' : 'goes out'} ${say(width / 2 - Math.abs(mm))} from the nearest wall: it drags the top along there.`,
    ),
  );
  const thin: Warning[] =
    wire.girthMm < BARE
      ? [
          note(
            about,
            'wire-bare',
            `A wire ${say(wire.girthMm)} thick hardly moves batter. A sleeve on it, 6 mm or more, does.`,
          ),
        ]
      : [];
  const short =
    (wire.lies === 'lengthwise' ? geometry.floor.length : geometry.floor.width) -
    wireLong(wire, geometry.floor);
  const ends: Warning[] =
    short > 20
      ? [note(about, 'wire-short', `The wire leaves ${say(short / 2)} at either end as it was poured.`)]
      : [];
  return [...column, ...stray, ...through, ...away, ...set, ...thin, ...ends];
}
