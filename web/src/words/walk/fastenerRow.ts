/** What FastenerRow says. */
export const noChainOfYourTools = 'no chain of your tools reaches it';
export const gap = 'gap';
