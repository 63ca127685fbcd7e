/** What is where in a plan: told once in its place, and again under Help. */
export const PLACES = {
  section: {
    name: 'The section',
    says: 'The loaf cut through the middle, to scale: so the bar will look. Press a layer to choose it, drag its line to move it.',
  },
  drops: {
    name: 'The line of drops',
    says: 'The order of the pours, a drop each, with tilts and waits between. A plus adds what comes there; drag anything to move it.',
  },
  stations: {
    name: 'The stations',
    says: 'The work in its order. Each mark says how it stands: round is settled, a diamond wants care.',
  },
} as const;

export type HelpPlace = keyof typeof PLACES;
