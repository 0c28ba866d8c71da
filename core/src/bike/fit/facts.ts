/** Why a tool fits a head or does not, as facts. */
export type FitFact =
  /** Free play at the worst made pair, degrees, and what comes of it. */
  | { code: 'fit.play'; verdict: 'fits' | 'loose' | 'rounds'; degrees: number }
  /** It goes on so many of a hundred such heads only. */
  | { code: 'fit.goes-on'; of100: number }
  | { code: PlainFit };

/** Reasons without a figure. */
export const PLAIN_FITS = [
  'fit.does-not-go-on',
  'fit.blade-wide',
  'fit.blade-fills',
  'fit.blade-narrow',
  'fit.hook-reaches',
  'fit.hook-differs',
  'fit.same-size',
  'fit.spoke-differs',
  'fit.recess-differs',
  'fit.twelve-point-only',
  'fit.drilled-bit',
  'fit.ph-in-jis',
  'fit.jis-in-ph',
  'fit.other-form',
  'fit.set-to-head',
  'fit.outside-span',
] as const;
export type PlainFit = (typeof PLAIN_FITS)[number];
