import { said, type Part } from '../said';

/** What LadderList says. */
export const evidence = 'Evidence';
export const how = 'How';
export const n13SpannerSnugWithThe = '13 spanner, snug, with the plate on';
export const whoMeasuresHere = 'Who measures here';
export const yourName = 'your name';
export const by = (who: Part) => said` by ${who}`;
export const noEvidenceYetChooseWhat = 'No evidence yet. Choose what applies.';
export const byCalliperOrFromThe = 'by calliper, or from the manual';
export const turnedWithTheTravelKit = 'turned with the travel kit in real work';
export const takenBack = 'taken back';
export const readOff = 'read off';
export const toolPutOn = 'tool put on';
export const turnedWithTheTravelKit2 = 'turned with the travel kit';
export const fromATemplateOrAGuess = 'from a template or a guess';
export const aToolWasPutOnIt = 'a tool was put on it';
