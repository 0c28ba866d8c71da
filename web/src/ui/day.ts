/** Today's date as ISO, by the rider's own clock. */
export const today = (): string => dayOf(new Date());
/** The date of a moment as ISO, by the rider's own clock. */
export function dayOf(moment: string | Date): string {
  const now = new Date(moment);
  return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
}
/** Hours and minutes of a moment, by the rider's own clock. */
export const clockOf = (moment: string): string =>
  new Date(moment).toLocaleTimeString([], { hour: '2-digit', minute: '2-digit' });
