import { STATIONS, type Station } from '../../bike/index.js';

/** Where one is on the walk: round the bike by its stations, then bags and kit, then what is done at a table. */
export type WalkPlace = Station | 'bags' | 'kit' | 'table';
export const WALK: readonly WalkPlace[] = [...STATIONS, 'bags', 'kit', 'table'];
