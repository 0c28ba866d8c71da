/** What FastenerRow says. */
export const noChainOfYourTools = 'no chain of your tools reach it';
export const gap = 'gap';
