import { said, type Part } from '../../said';

/** What useOwnWords says. */
export const meansFromNowOnChange = (word: Part, means: Part) =>
  said`“${word}” means ${means} from now on. Change it in the garage menu, My words.`;
export const fullOfWords = (most: Part) =>
  said`A garage remembers ${most} words. Delete some under the garage menu, My words.`;
