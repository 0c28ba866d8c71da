/** What TermQuestion says. */
export const whatDoes = 'What does';
export const whatDoThese = 'What do these';
export const mean = 'mean?';
