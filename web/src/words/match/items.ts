import { said, type Part } from '../said';

/** What items says. */
export const isInTheToolbox = (book: Part) => said`${book} is in the toolbox.`;
export const toolsAreInTheToolbox = (tools: Part) => said`${tools} tools are in the toolbox.`;
export const sparesUnderPartSpecsIn = (book: Part) => said`${book} → spares, under Part specs in Kit.`;
