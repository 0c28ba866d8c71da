import { computed } from 'vue';
import { useCrew } from '../stores/crew';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { massText } from '../ui/words';
import { useGoing, type Found } from './found';
import * as texts from '../words/search/together';

/** Companions, and who of the crew carries what. */
export function useTogether() {
  const view = useView();
  const garage = useGarage();
  const crew = useCrew();
  const go = useGoing();

  /** What the crew carries, once it is shared out: who has it. */
  const shared = computed<Found[]>(() =>
    (crew.answer?.carriers ?? []).flatMap((c) =>
      c.tokens.map((t) => ({
        key: `crew ${c.number} ${t.item}`,
        kind: 'crew',
        name: t.name,
        says: texts.carriesIt(crew.answer?.names[c.number]?.name ?? '', massText(view.units, t.mass)),
        run: go('/crew'),
      })),
    ),
  );
  const people = computed<Found[]>(() =>
    (garage.doc?.companions ?? []).map((c) => ({
      key: `companion ${c.id}`,
      kind: 'companion',
      name: c.person.name,
      says: c.bikes.map((b) => b.name).join(', '),
      words: texts.riderFriendGroup,
      run: go({ path: '/crew', query: { tab: 'people' } }),
    })),
  );
  return computed<Found[]>(() => [...shared.value, ...people.value]);
}
