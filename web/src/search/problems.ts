import { computed } from 'vue';
import { appliesTo, byTrouble, FAULT_TREES, troublesIn } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { percent } from '../ui/words';
import { GRADE_NAMES } from '../words/pages';
import { useGoing, type Found } from './found';
import * as texts from '../words/search/problems';

/** What can go wrong, with how likely it is and what this kit does about it; and searches for a fault by what is seen. */
export function useProblems() {
  const garage = useGarage();
  const answers = useAnswer();
  const go = useGoing();

  const problems = computed<Found[]>(() => {
    const { bike, doc } = garage;
    if (!bike || !doc) return [];
    const sums = answers.answer ? byTrouble(answers.answer.kit, bike.id) : new Map();
    return troublesIn(doc)
      .filter((t) => appliesTo(t, bike))
      .map((t) => {
        const odds = answers.answer?.exposures.find((e) => e.trouble.id === t.id)?.odds;
        const sum = sums.get(t.id);
        return {
          key: `problem ${t.id}`,
          kind: 'problem',
          name: t.name,
          says: [
            odds === undefined ? '' : texts.ofSuchTrips(percent(odds, 1)),
            sum?.grade
              ? `${sum.wayName}: ${GRADE_NAMES[sum.grade as keyof typeof GRADE_NAMES]}`
              : texts.thisKitHasNoRepair,
          ]
            .filter(Boolean)
            .join(' · '),
          words: t.ways.map((w) => w.name).join(' '),
          run: go({ path: '/kit', query: { tab: 'mends', problem: t.id } }),
        };
      });
  });
  const symptoms = computed<Found[]>(() =>
    FAULT_TREES.map((f) => ({
      key: `symptom ${f.id}`,
      kind: texts.searchForAFault,
      name: f.symptom,
      says: texts.stepByStep,
      words: f.words,
      run: go({ path: '/road', query: { seek: f.id } }),
    })),
  );
  return computed<Found[]>(() => [...problems.value, ...symptoms.value]);
}
