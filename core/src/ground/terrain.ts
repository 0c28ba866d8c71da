/** What is ridden on: the names under which rates, loads and speeds differ. */
export const TERRAINS = ['paved', 'gravel', 'track'] as const;
export type Terrain = (typeof TERRAINS)[number];
