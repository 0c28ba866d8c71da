import { computed } from 'vue';
import { useBelongings } from './belongings';
import { useCommands } from './commands';
import type { Found } from './found';
import { useProblems } from './problems';
import { useTogether } from './together';

export type { Found } from './found';

/** All that can be searched for, with its answer, from what is on the screen now. */
export function useEntries() {
  const commands = useCommands();
  const together = useTogether();
  const belongings = useBelongings();
  const problems = useProblems();
  return computed<Found[]>(() => [
    ...commands.value,
    ...together.value,
    ...belongings.first.value,
    ...problems.value,
    ...belongings.then.value,
  ]);
}
