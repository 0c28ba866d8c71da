/** Technical words, each in a sentence or two: shown on a press at the first place where they stand. */
export const TERMS = {
  full: 'Full: as good as at home. Ride-out: reaches a workshop, at the speed and distance that the repair says. Limp: at walking pace to people or a road.',
  proven:
    'Proven: the program has shown that no other choice is better. Where it has not finished, it says by how much at most another could be better.',
  spares:
    'The share of such trips on which the spares are enough, all of them together. 90 % means: on nine trips in ten no spare runs out.',
  evidence:
    'How a size is known: assumed (usual on such a bike), measured (read with a calliper), tried (a tool sat on it), proven (turned on this bike).',
  stranded:
    'Hours that one breakdown costs when you cannot repair it: raising help, waiting for it, and being carried to a workshop.',
  access:
    'How a tool gets at the head. Sunk: how deep it sits. Clearance: how wide the space around it is. Room in line: how long a tool may stand on it. Thinnest tool: how thick a spanner may be at most. Stud: how far the thread stands out of the nut. Swing: how far a handle turns before something stops it. Leave a field empty where nothing is in the way.',
  share:
    'Usable share: how much of a place’s volume odd-shaped items can fill. About two thirds for tools, more for soft goods.',
} as const;
export type Term = keyof typeof TERMS;
