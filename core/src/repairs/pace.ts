/** A way of a trouble, as own times are kept by. */
export const wayKey = (trouble: string, way: string): string => `${trouble}\n${way}`;

/** Factors on planned minutes by `wayKey`, from own times. */
export type OwnPace = ReadonlyMap<string, number>;
