import type { ReactNode } from 'react';
import type { ThingName } from '../../core/edit/onLine/things.ts';

const BATTER = { fill: 'currentColor' } as const;
const TOOL = { fill: 'none', stroke: 'currentColor', strokeWidth: 2, strokeLinecap: 'round' } as const;

/** Batter is filled, wood and tools are lines. */
const DRAWINGS: Readonly<Record<ThingName, ReactNode>> = {
  pour: <path {...BATTER} d="M14 3c2 6 6 9 6 14a6 6 0 0 1-12 0c0-5 4-8 6-14z" />,
  rounds: (
    <>
      <path {...BATTER} d="M8 3c1 5 4 7 4 11a4 4 0 0 1-8 0c0-4 3-6 4-11z" />
      <path {...TOOL} d="M20 3c1 5 4 7 4 11a4 4 0 0 1-8 0c0-4 3-6 4-11zM10 24h8" />
    </>
  ),
  tilt: (
    <>
      <path {...TOOL} d="M4 12l19-5 3 11-19 5z" />
      <path {...TOOL} d="M2 25h24" />
    </>
  ),
  wait: <path {...TOOL} d="M8 4h12M8 24h12M9 4c0 6 5 6 5 10s-5 4-5 10M19 4c0 6-5 6-5 10s5 4 5 10" />,
  stick: (
    <>
      <path {...TOOL} d="M22 3L12 16" />
      <path {...TOOL} d="M3 22c3-7 6-7 9-2s7 4 13-3" />
    </>
  ),
  wire: <path {...TOOL} d="M5 3v13c0 9 18 9 18 0V3" />,
  scrape: (
    <>
      <path {...TOOL} d="M4 4h20v7l-4 4-3-4-3 4-3-4-3 4-4-4z" />
      <path {...BATTER} d="M4 25v-5l4 4 3-4 3 4 3-4 3 4 4-4v5z" />
    </>
  ),
  line: (
    <>
      <path {...TOOL} d="M3 14h22" strokeWidth={3} />
      <path {...TOOL} d="M9 5v1M14 7v1M19 5v1M5 24h18" />
    </>
  ),
  top: <path {...BATTER} d="M3 24v-6c3 0 3-7 7-7 3 0 2-6 4-6s1 6 4 6c4 0 4 7 7 7v6z" />,
  pull: (
    <>
      <path {...TOOL} d="M14 21V4M9 9l5-5 5 5" />
      <path {...TOOL} d="M4 24h5M19 24h5" />
    </>
  ),
  finish: <path {...TOOL} d="M4 24h20M6 24V13c0-8 16-8 16 0v11M11 6V3M17 6V3" />,
};

/** The small drawing of what can be put on the line, 28 px. */
export const ThingDrawing = ({ thing }: { readonly thing: ThingName }) => (
  <svg width="28" height="28" viewBox="0 0 28 28" aria-hidden="true">
    {DRAWINGS[thing]}
  </svg>
);
