/** What EmptyStage says. */
export const anExampleNotYours = 'An example, not yours.';
