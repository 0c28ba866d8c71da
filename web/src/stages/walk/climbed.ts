import { climb, type Evidence, type Fastener } from '@necessaire/core';
import { useView } from '../../stores/view';

/** A fastener one step on, by whoever sits at this screen, now. */
export const climbed = (fastener: Fastener, evidence: Evidence, how: string): Fastener =>
  climb(fastener, { evidence, who: useView().who, when: new Date().toISOString(), how });
