/** kg that a tyre bears by its load index, from 20 on: the standard's table, in steps of a geometric series. */
const FROM = 20;
const KG = [
  80, 82.5, 85, 87.5, 90, 92.5, 95, 97.5, 100, 103, 106, 109, 112, 115, 118, 121, 125, 128, 132, 136, 140, 145, 150,
  155, 160, 165, 170, 175, 180, 185, 190, 195, 200, 206, 212, 218, 224, 230, 236, 243, 250, 257, 265, 272, 280, 290,
  300, 307, 315, 325, 335, 345, 355, 365, 375, 387, 400, 412, 425, 437, 450, 462, 475, 487, 500, 515, 530, 545, 560,
  580, 600,
];

/**
 * What one tyre bears at its pressure and speed rating, kg.
 * @param index as printed on the tyre, 20 to 90
 * @throws RangeError for an index outside 20 to 90
 * @example tyreBears(58) // 236
 */
export function tyreBears(index: number): number {
  const kg = KG[index - FROM];
  if (kg === undefined) throw new RangeError(`load index ${index} is outside 20 to 90: read it off the tyre's side`);
  return kg;
}
