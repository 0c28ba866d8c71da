/** What a stage says while it has nothing to show: what it will show, and the one thing to do now. */
export interface EmptyWords {
  /** What will stand here. */
  shows: string;
  /** What its picture is of, for those who do not see it. */
  picture: string;
}
export const EMPTY = {
  match: {
    shows:
      'You see the head of each bolt on your bike here: green where a tool of yours turns it, red with a cross where none does. Press one, and you see how the tools go together on it.',
    picture: 'Example: bolt heads by shape and size, one of them out of reach',
  },
  kit: {
    shows:
      'You see how much kit is enough here: the hours that a kit saves you, drawn against what it weighs. The list beside it says which problem each tool and spare is for.',
    picture: 'Example: the hours saved rise steeply at first, then hardly, with the weight',
  },
  crew: {
    shows:
      'The kit is shared out here between all who ride along: one pump for three bikes, and each rider carries what they can. You also see what is missing when somebody turns back.',
    picture: 'Example: three riders side by side, with what each of them carries',
  },
  prove: {
    shows:
      'You see which repairs you have really done with this kit, and which are only planned. You practise the most useful one first, step by step.',
    picture: 'Example: hours at risk, part of them proven and most only planned',
  },
} as const satisfies Record<string, EmptyWords>;

export type EmptyStageName = keyof typeof EMPTY;
