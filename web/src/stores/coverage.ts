import { shallowRef, watch, type ShallowRef } from 'vue';
import type { Coverage } from '@necessaire/core';
import { useAnswer } from './answer';
import { useGarage } from './garage';

/** Which heads of the bike each tool goes on: asked for while somebody looks at it; null until known. */
export function useCoverage(): Readonly<ShallowRef<Coverage | null>> {
  const garage = useGarage();
  const answers = useAnswer();
  const coverage = shallowRef<Coverage | null>(null);
  watch(
    () => [garage.version, garage.bike?.id] as const,
    async () => {
      const { doc, bike } = garage;
      if (!doc || !bike) return;
      const made = await answers.ask((w) => w.coverage(doc, bike.id));
      if (made && garage.doc === doc && garage.bike?.id === bike.id) coverage.value = made;
    },
    { immediate: true },
  );
  return coverage;
}
