/** Why something may not lie where it does, as facts: mm, mL, grams; places and things by their names. */
export type StowFact =
  /** Longer or wider than any slot. */
  | { code: 'stow.no-slot'; long: number; middle: number; longest: number; widest: number }
  | { code: 'stow.too-long'; long: number; longest: number }
  | { code: 'stow.too-small-to-tie' }
  /** Across a tube of so much bore. */
  | { code: 'stow.bore'; middle: number; thin: number; bore: number }
  /** At no angle; sides in falling order, and those of the place as they are. */
  | { code: 'stow.no-angle'; sides: readonly [number, number, number]; inside: readonly [number, number, number] }
  | { code: 'stow.must-stand' }
  | { code: 'stow.too-tall'; tall: number; room: number }
  | { code: 'stow.injures' | 'stow.shorts' | 'stow.heat' | 'stow.dry' | 'stow.fragile' }
  | { code: 'stow.slots-taken'; count: number }
  | { code: 'stow.no-room'; more: number; usable: number; taken: number }
  | { code: 'stow.sharp-beside' | 'stow.pierced-beside' }
  | { code: 'stow.over-weight'; mass: number; bears: number }
  | { code: 'stow.more-than-slots' }
  /** No way was found to lay some things beside each other; nothing named: beside what is there. */
  | { code: 'stow.not-laid'; names: readonly string[] }
  | { code: 'stow.blade-shut-in'; place: string };
