import { computed } from 'vue';
import { currencyOpen } from '../garages/currencyOpen';
import { exportGarage } from '../garages/exporting';
import { useNotice } from '../shell/notice';
import { useStages } from '../shell/stages';
import { useGarage } from '../stores/garage';
import { useView } from '../stores/view';
import { ownWordsOpen } from '../ui/line/ownWordsOpen';
import { PAGES } from '../words/pages';
import { useGoing, type Found } from './found';

/** Stages, pages, settings and what can be done anywhere. */
export function useCommands() {
  const view = useView();
  const garage = useGarage();
  const notice = useNotice();
  const stages = useStages();
  const go = useGoing();

  return computed<Found[]>(() => [
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
}
