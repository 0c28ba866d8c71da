/** Why a supply does not count for a bike, as facts. */
export type SupplyFact =
  | { code: 'supply.spent' | 'supply.stays-home' | 'supply.other-bike' | 'supply.takes-none' }
  /** ISO date until which it kept. */
  | { code: 'supply.past-date'; until: string }
  /** Rim that a tube is for, inches, and the tyre’s mark. */
  | { code: 'supply.rim'; rim: number | string; tyre: string }
  /** What of two readings differs: its name on the sheet, what the supply says, what the bike’s sheet says. */
  | { code: 'supply.differs'; what: string; there: number | string; here: number | string }
  /** Marked for something else; nothing named: the words do not compare. */
  | { code: 'supply.made-for'; fits: string; because: SupplyFact[] };

/** A chain tool that does not open the bike’s chain: the largest size that it opens, and the chain’s. */
export interface ChainToolFact {
  code: 'sheet.chain-tool';
  opens: number;
  chain: number;
}
/** What on a fit sheet does not go together. */
export type SheetFact = ChainToolFact | { code: 'sheet.tube'; rim: number | string; tyre: string };
