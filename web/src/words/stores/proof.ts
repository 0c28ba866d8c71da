/** What proof says. */
export const you = 'You';
