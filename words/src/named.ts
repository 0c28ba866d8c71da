/** Names as a list; those beyond so many are counted: `a, b and 3 more`. */
export const named = (names: readonly string[], most = 5): string => {
  const rest = names.length - most;
  return rest > 0 ? `${names.slice(0, most).join(', ')} and ${rest} more` : names.join(', ');
};
