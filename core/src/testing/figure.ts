import fc from 'fast-check';

/** Any figure of a range, each part of it as likely: of all doubles, which `fc.double` takes as equally likely, nearly all are next to nothing. */
export const figure = (least: number, most: number): fc.Arbitrary<number> =>
  fc.integer({ min: 0, max: 100_000 }).map((n) => least + ((most - least) * n) / 100_000);
