/** Hours that something saves, in the unit that one reads: hours, minutes, or seconds where it is less than one. */
export const timeText = (h: number): string =>
  h >= 0.995 ? `${h.toFixed(1)} h` : h >= 1 / 60 || h <= 0 ? `${Math.round(h * 60)} min` : `${Math.ceil(h * 3600)} s`;
