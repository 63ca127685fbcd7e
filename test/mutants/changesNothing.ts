/** Faults that were planted, that change nothing that can be noticed, each with the reason. */
export const CHANGES_NOTHING: Readonly<Record<string, string>> = {
  'src/core/fill/barGrid.ts: ? { strips: 1, thicknessMm: Math.max(lengthMm, 1e-9), kerfMm: 0, trimStartMm: 0, trimEndMm: 0 } [62: 0 -> 1]':
    'a cavity is one bar: between bars that are not there no cut takes anything',
  'src/core/fill/layers.ts: const share = shares.get(pot.id) ?? 0; [36: 0 -> 1]':
    'shares are made of the same pots that they are asked for',
  'src/core/clock/matters.ts: const { falseTrace = 0 } = course; [21: 0 -> 1]':
    'a course of a plan always says how likely it is',
  'src/core/clock/needs.ts: if (act.fluid && timed.fluidUntilMin !== undefined) [14: && -> ||]':
    'what asks for fluid batter has a minute until which it is, and nothing else has one',
  'src/core/setting/rest.ts: if (Math.abs(step) < 1e-14 * (1 + Math.abs(y))) break; [27: * -> /]':
    'Newton’s steps end one sooner or later, at the last digit either way',
  'src/core/ombre/onePot.ts: return { startG, passes, impossibleAt: impossible >= 0 ? impossible : undefined }; [53: 0 -> 1]':
    'the first pass is thinned from nothing: it is never the one that cannot be',
  'src/core/look/matchColour.ts: const TRIED_TOGETHER = 6; [23: 6 -> 6.6]':
    'so many of a list: a part of one more is none',
  'src/core/colour/reflectance.ts: for (let c = 0; c < 3; c += 1) pull[c] = (pull[c] as number) + part * (step[n + c] as number); [20: 3 -> 3.3]':
    'a list of three takes nothing beyond its end',
  'src/core/geometry/fillProfile.ts: const newton = t - error / slope; [25: / -> *]':
    'a step that is too long or too short is halved instead: it comes to the same level',
  'src/core/flow/box.ts: const values = new Float64Array(2 * xs.length); [32: 2 -> 2.2]':
    'room beyond what is filled is never read',
  'src/core/colour/linear.ts: row.reduce((s, x, i) => s + x * (v[i] ?? 0), 0); [26: + -> -]':
    'the weights are scaled to add up to 1: their sign is lost in it',
  'src/core/timing/normals.ts: if (i + 1 < count) out[i + 1] = radius * Math.sin(angle); [8: 1 -> 0]':
    'a list of fixed length takes nothing beyond its end',
};
