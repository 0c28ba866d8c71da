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
import * as texts from '../words/search/commands';

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
      words: texts.goToStage,
      run: go(s.path),
    })),
    ...PAGES.pages.map((p) => ({ key: `page ${p.name}`, kind: 'page', ...p, run: go(p.to) })),
    {
      key: 'my words',
      kind: 'settings',
      name: texts.myWords,
      says: texts.wordsThatTheLinesLearned(garage.doc?.garage.words.length ?? 0),
      words: texts.ownWordsLanguageDialectVocabulary,
      run: () => (ownWordsOpen.value = true),
    },
    {
      key: 'undo',
      kind: 'command',
      name: texts.undo,
      says: garage.history.undoable.at(-1)?.label ?? texts.nothingToUndo,
      words: 'back',
      run: () => notice.undone(garage.undo(), false),
    },
    {
      key: 'redo',
      kind: 'command',
      name: texts.redo,
      says: garage.history.redoable.at(-1)?.label ?? texts.nothingToRedo,
      run: () => notice.undone(garage.redo(), true),
    },
    {
      key: 'theme',
      kind: 'setting',
      name: view.theme === 'dark' ? texts.lightTheme : texts.darkTheme,
      says: texts.howItLooksOnThis,
      words: texts.coloursNight,
      run: () => (view.theme = view.theme === 'dark' ? 'light' : 'dark'),
    },
    {
      key: 'units',
      kind: 'setting',
      name: view.units === 'metric' ? texts.inchUnits : texts.metricUnits,
      says: view.units === 'metric' ? texts.inchesPoundsMiles : texts.millimetresKilogramsKilometres,
      words: texts.settingsMetricImperial,
      run: () => (view.units = view.units === 'metric' ? 'inch' : 'metric'),
    },
    {
      key: 'keys',
      kind: 'help',
      name: texts.keyboardShortcuts,
      says: texts.theKeysOfThisStage,
      words: texts.helpKeys,
      run: () => (view.keysOpen = true),
    },
    {
      key: 'currency',
      kind: 'command',
      name: texts.currency,
      says: texts.whatMoneyIsShownIn,
      words: texts.moneyPriceDollarPoundFranc,
      run: () => (currencyOpen.value = true),
    },
    {
      key: 'export',
      kind: 'command',
      name: texts.exportTheGarage,
      says: texts.asAFile,
      words: texts.backupSaveDownload,
      run: exportGarage,
    },
  ]);
}
