import type { Wall } from '../../plan/stepSchema.ts';
import type { Surface } from '../deeds.ts';

const SAME_MM = 0.05;

const WALL_WORDS = {
  left: 'the left wall',
  right: 'the right wall',
  near: 'the near end',
  far: 'the far end',
} as const;

const ON = { left: 'on', right: 'on', near: 'at', far: 'at' } as const;

/** Where a surface stands, in words: "to 23 mm", or by the walls it reaches when it slopes. */
export function surfaceText({ heightsMm, bare }: Surface, mm: (length: number) => string): string {
  const across = Math.abs(heightsMm.left - heightsMm.right) > SAME_MM;
  const along = Math.abs(heightsMm.near - heightsMm.far) > SAME_MM;
  const short = bare.map((b) => `; it ends ${mm(b.gapMm)} short of ${WALL_WORDS[b.wall]}`).join('');
  const reached = (walls: readonly Wall[]): readonly Wall[] =>
    walls.filter((wall) => !bare.some((b) => b.wall === wall));
  const at = (walls: readonly Wall[]): string => {
    const words = reached(walls).map((wall) => `${mm(heightsMm[wall])} ${ON[wall]} ${WALL_WORDS[wall]}`);
    return words.length > 0 ? `to ${words.join(' and ')}` : 'over the middle of the floor';
  };
  if (!across && !along) return (bare.length > 0 ? at(['left', 'near']) : `to ${mm(heightsMm.left)}`) + short;
  if (!along) return at(['left', 'right']) + short;
  if (!across) return at(['near', 'far']) + short;
  return `${at(['left', 'right', 'near', 'far'])} (middles)${short}`;
}
