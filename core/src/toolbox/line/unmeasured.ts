/** What stands at the end of the name of a tool that nobody has measured yet. */
export const SIZE_UNKNOWN = ', size not known';
