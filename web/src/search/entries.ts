import { computed } from 'vue';
import { useRouter, type RouteLocationRaw } from 'vue-router';
import { appliesTo, byTrouble, FAULT_TREES, printShape, troublesIn, type Stowed } from '@necessaire/core';
import { currencyOpen } from '../garages/currencyOpen';
import { exportGarage } from '../garages/exporting';
import { useNotice } from '../shell/notice';
import { useStages } from '../shell/stages';
import { useAnswer } from '../stores/answer';
import { useCrew } from '../stores/crew';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { ownWordsOpen } from '../ui/line/ownWordsOpen';
import { massText, percent } from '../ui/words';
import { GRADE_NAMES, PAGES } from '../words/pages';
import type { Entry } from './find';

export interface Found extends Entry {
  run: () => void;
  /** The place where it lies: shown on the bike while it is chosen. */
  placeId?: string | null;
}

/** All that can be searched for, with its answer, from what is on the screen now. */
export function useEntries() {
  const router = useRouter();
  const view = useView();
  const garage = useGarage();
  const answers = useAnswer();
  const notice = useNotice();
  const stages = useStages();
  const crew = useCrew();
  const go = (to: RouteLocationRaw) => () => void router.push(to);

  const placeName = (id: string | null) => garage.places.find((p) => p.id === id)?.name ?? 'not packed';
  const whereIs = (s: Stowed) =>
    [
      placeName(s.placeId),
      s.on ? `${s.on.how === 'wound' ? 'round' : 'inside'} ${s.on.name}` : s.slot !== null ? `slot ${s.slot + 1}` : '',
    ]
      .filter(Boolean)
      .join(', ');

  const commands = computed<Found[]>(() => [
    ...stages.value.map((s) => ({
      key: s.path,
      kind: 'stage',
      name: s.name,
      says: `${PAGES.stages[s.path] ?? ''} · ${s.live}`,
      words: 'go to stage',
      run: go(s.path),
    })),
    ...PAGES.pages.map((p) => ({ key: `page ${p.name}`, kind: 'page', ...p, run: go(p.to) })),
    {
      key: 'my words',
      kind: 'settings',
      name: 'My words',
      says: `${garage.doc?.garage.words.length ?? 0} words that the lines learned`,
      words: 'own words language dialect vocabulary settings names of tools',
      run: () => (ownWordsOpen.value = true),
    },
    {
      key: 'undo',
      kind: 'command',
      name: 'Undo',
      says: garage.history.undoable.at(-1)?.label ?? 'nothing to undo',
      words: 'back',
      run: () => notice.undone(garage.undo(), false),
    },
    {
      key: 'redo',
      kind: 'command',
      name: 'Redo',
      says: garage.history.redoable.at(-1)?.label ?? 'nothing to redo',
      run: () => notice.undone(garage.redo(), true),
    },
    {
      key: 'theme',
      kind: 'setting',
      name: view.theme === 'dark' ? 'Light theme' : 'Dark theme',
      says: 'how it looks on this screen',
      words: 'colours night',
      run: () => (view.theme = view.theme === 'dark' ? 'light' : 'dark'),
    },
    {
      key: 'units',
      kind: 'setting',
      name: view.units === 'metric' ? 'Inch units' : 'Metric units',
      says: view.units === 'metric' ? 'inches, pounds, miles' : 'millimetres, kilograms, kilometres',
      words: 'settings metric imperial',
      run: () => (view.units = view.units === 'metric' ? 'inch' : 'metric'),
    },
    {
      key: 'keys',
      kind: 'help',
      name: 'Keyboard shortcuts',
      says: 'the keys of this stage',
      words: 'help keys',
      run: () => (view.keysOpen = true),
    },
    {
      key: 'currency',
      kind: 'command',
      name: 'Currency',
      says: 'what money is shown in',
      words: 'money price dollar pound franc setting',
      run: () => (currencyOpen.value = true),
    },
    {
      key: 'export',
      kind: 'command',
      name: 'Export the garage',
      says: 'as a file',
      words: 'backup save download',
      run: exportGarage,
    },
  ]);
  const bikes = computed<Found[]>(() =>
    (garage.doc?.bikes ?? []).map((b) => ({
      key: `bike ${b.id}`,
      kind: 'bike',
      name: b.name,
      says: b.id === garage.bike?.id ? 'shown now' : 'show this bike',
      run: () => (view.bikeId = b.id),
    })),
  );
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
            odds === undefined ? '' : `${percent(odds, 1)} of such trips`,
            sum?.grade
              ? `${sum.wayName}: ${GRADE_NAMES[sum.grade as keyof typeof GRADE_NAMES]}`
              : 'this kit has no repair for it',
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
      kind: 'search for a fault',
      name: f.symptom,
      says: 'step by step',
      words: f.words,
      run: go({ path: '/road', query: { seek: f.id } }),
    })),
  );
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
  const athome = computed<Found[]>(() => {
    const carried = new Set((answers.answer?.packing.stowed ?? []).map((s) => s.item.name));
    return (garage.doc?.pieces ?? [])
      .filter((p) => !carried.has(p.name))
      .map((p) => ({
        key: `tool ${p.id}`,
        kind: 'tool',
        name: p.name,
        says: `not in this kit · ${massText(view.units, p.mass)}`,
        run: () => {
          view.pieceId = p.id;
          void router.push({ path: '/match', query: { tab: 'drawer' } });
        },
      }));
  });
  const places = computed<Found[]>(() =>
    garage.places.map((p) => {
      const inside = (answers.answer?.packing.stowed ?? []).filter((s) => s.placeId === p.id);
      const mass = inside.reduce((sum, s) => sum + s.item.mass, 0);
      return {
        key: `place ${p.id}`,
        kind: 'place',
        name: p.name,
        says: `${inside.length} ${inside.length === 1 ? 'item' : 'items'}, ${massText(view.units, mass)} · ${p.tier}`,
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
        says: `${printShape(f.head)} · ${chain ? chain.links.map((l) => l.piece.name).join(' + ') : 'no tool turns it'}`,
        words: f.role ?? '',
        run: () => {
          view.fastenerId = f.id;
          void router.push('/match');
        },
      };
    }),
  );
  /** What the crew carries, once it is shared out: who has it. */
  const shared = computed<Found[]>(() =>
    (crew.answer?.carriers ?? []).flatMap((c) =>
      c.tokens.map((t) => ({
        key: `crew ${c.number} ${t.item}`,
        kind: 'crew',
        name: t.name,
        says: `${crew.answer!.names[c.number]!.name} carries it · ${massText(view.units, t.mass)}`,
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
      words: 'rider friend group',
      run: go({ path: '/crew', query: { tab: 'people' } }),
    })),
  );
  return computed<Found[]>(() => [
    ...commands.value,
    ...shared.value,
    ...people.value,
    ...items.value,
    ...problems.value,
    ...symptoms.value,
    ...places.value,
    ...fasteners.value,
    ...bikes.value,
    ...athome.value,
  ]);
}
