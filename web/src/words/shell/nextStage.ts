import { said, type Part } from '../said';

/** What NextStage says. */
export const next = (name: Part, path: Part) => said`Next: ${name}, ${path}`;
