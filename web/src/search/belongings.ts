import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { printShape, type Stowed } from '@necessaire/core';
import { useAnswer } from '../stores/answer';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { massText } from '../ui/words';
import { useGoing, type Found } from './found';
import * as texts from '../words/search/belongings';
import { counted } from '../words/counted';

/** What is packed and where, what stays at home, places, and fasteners with the tools that turn them. */
export function useBelongings() {
  const router = useRouter();
  const view = useView();
  const garage = useGarage();
  const answers = useAnswer();
  const go = useGoing();

  const placeName = (id: string | null) => garage.places.find((p) => p.id === id)?.name ?? texts.notPacked;
  const whereIs = (s: Stowed) =>
    [
      placeName(s.placeId),
      s.on
        ? (s.on.how === 'wound' ? texts.round : texts.inside)(s.on.name)
        : s.slot !== null
          ? texts.slot(s.slot + 1)
          : '',
    ]
      .filter(Boolean)
      .join(', ');

  const items = computed<Found[]>(() =>
    (answers.answer?.packing.stowed ?? []).map((s) => ({
      key: `item ${s.item.key}`,
      kind: 'item',
      name: s.item.name,
      says: `${whereIs(s)} · ${massText(view.units, s.item.mass)}`,
      placeId: s.placeId,
      run: () => {
        view.itemKey = s.item.key;
        void router.push('/stow');
      },
    })),
  );
  const places = computed<Found[]>(() =>
    garage.places.map((p) => {
      const inside = (answers.answer?.packing.stowed ?? []).filter((s) => s.placeId === p.id);
      const mass = inside.reduce((sum, s) => sum + s.item.mass, 0);
      return {
        key: `place ${p.id}`,
        kind: 'place',
        name: p.name,
        says: `${counted(inside.length, 'item')}, ${massText(view.units, mass)} · ${p.tier}`,
        placeId: p.id,
        run: go('/stow'),
      };
    }),
  );
  const fasteners = computed<Found[]>(() =>
    garage.fasteners.map((f) => {
      const chain = answers.byFastener.get(f.id)?.best[0];
      return {
        key: `fastener ${f.id}`,
        kind: 'fastener',
        name: f.name,
        says: `${printShape(f.head)} · ${chain ? chain.links.map((l) => l.piece.name).join(' + ') : texts.noToolTurnsIt}`,
        words: f.role ?? '',
        run: () => {
          view.fastenerId = f.id;
          void router.push('/match');
        },
      };
    }),
  );
  const bikes = computed<Found[]>(() =>
    (garage.doc?.bikes ?? []).map((b) => ({
      key: `bike ${b.id}`,
      kind: 'bike',
      name: b.name,
      says: b.id === garage.bike?.id ? texts.shownNow : texts.showThisBike,
      run: () => (view.bikeId = b.id),
    })),
  );
  const athome = computed<Found[]>(() => {
    const carried = new Set((answers.answer?.packing.stowed ?? []).map((s) => s.item.name));
    return (garage.doc?.pieces ?? [])
      .filter((p) => !carried.has(p.name))
      .map((p) => ({
        key: `tool ${p.id}`,
        kind: 'tool',
        name: p.name,
        says: texts.notInThisKit(massText(view.units, p.mass)),
        run: () => {
          view.pieceId = p.id;
          void router.push({ path: '/match', query: { tab: 'drawer' } });
        },
      }));
  });
  return {
    first: items,
    then: computed<Found[]>(() => [...places.value, ...fasteners.value, ...bikes.value, ...athome.value]),
  };
}
