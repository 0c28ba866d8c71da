import { z } from 'zod';
import { line } from '../ground/text.js';

/** Characters that one detail of the card may have. */
export const CARD_LINE = 200;

/**
 * Details for an emergency that somebody chose to write: who rides, whom to call, blood group and allergies.
 * They belong to the device, not to the garage: no table has them, and a file only when its writer ticks that it shall.
 */
export const roadCardSchema = z.strictObject({
  name: line(CARD_LINE),
  riders: line(CARD_LINE),
  call: line(CARD_LINE),
  health: line(CARD_LINE),
});
export type RoadCard = z.infer<typeof roadCardSchema>;

export const EMPTY_CARD: RoadCard = { name: '', riders: '', call: '', health: '' };

/** Whether anything is written on it. */
export const cardWritten = (card: RoadCard): boolean => Object.values(card).some((text) => text.trim() !== '');
