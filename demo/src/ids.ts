/** Ids of the demo are fixed, so that its file is the same each time and screenshots do not jump about. */
const GROUPS = {
  bike: 1,
  fastener: 2,
  piece: 3,
  supply: 4,
  trip: 5,
  leg: 6,
  place: 7,
  service: 8,
  ride: 9,
  person: 10,
  crew: 11,
  drill: 12,
  check: 13,
  watch: 14,
  review: 15,
} as const;

export function demoIds() {
  const next = new Map<string, number>();
  return (group: keyof typeof GROUPS): string => {
    const n = (next.get(group) ?? 0) + 1;
    next.set(group, n);
    const hex = (value: number, digits: number) => value.toString(16).padStart(digits, '0');
    return `${hex(GROUPS[group], 8)}-0000-4000-8000-${hex(n, 12)}`;
  };
}
