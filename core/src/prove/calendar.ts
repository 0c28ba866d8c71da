import ical, { ICalAlarmType, ICalCalendarMethod, ICalEventStatus } from 'ical-generator';
import { dayAfter, type CheckDue } from './checks/index.js';

/** What a calendar is made for. */
export interface CalendarGiven {
  bike: { id: string; name: string };
  trip: { id: string; name: string; leaves: string | null; days: number } | null;
  /** What a check is called, and how it is done and why. */
  words: (check: CheckDue) => { name: string; text: string };
  /** ISO moment of making it: the later file wins. */
  now: string;
}

/** Sequence numbers count minutes from here, so that every later file has a higher one (RFC 5545, 3.8.7.4). */
const EPOCH = Date.parse('2024-01-01T00:00:00Z');
/**
 * Sequence number of a calendar file made at a moment.
 * @param now ISO moment
 * @returns minutes since 2024, from 0
 */
export const sequenceAt = (now: string): number => Math.max(0, Math.floor((Date.parse(now) - EPOCH) / 60_000));

/** Hours before the day begins at which one is reminded: eight in the evening before. */
const REMIND_SECONDS = 4 * 3600;

/**
 * Checks with a day, and the trip itself, as a calendar file (RFC 5545): all-day events, each with an alarm, the same UID every time, and a sequence
 * number that grows, so that importing it again corrects what is there. What is done or dropped is sent as cancelled.
 */
export function calendarFile(due: readonly CheckDue[], given: CalendarGiven): string {
  const { bike, trip, words, now } = given;
  const calendar = ical({
    name: `${bike.name}${trip ? `: ${trip.name}` : ''}`,
    prodId: { company: 'Necessaire', product: 'Checks', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  const sequence = sequenceAt(now);
  const stamp = new Date(now);
  const add = (
    key: string,
    date: string,
    days: number,
    event: { summary: string; description: string; off: boolean },
  ) => {
    const made = calendar.createEvent({
      id: `${key.replaceAll(/[^\w.-]+/gu, '-')}.${bike.id}${trip ? `.${trip.id}` : ''}@necessaire`,
      sequence,
      stamp,
      allDay: true,
      // A date alone has no zone: noon keeps it the same day whatever the machine's own.
      start: new Date(`${date}T12:00:00`),
      end: new Date(`${dayAfter(date, days)}T12:00:00`),
      summary: event.summary,
      description: event.description,
      status: event.off ? ICalEventStatus.CANCELLED : ICalEventStatus.CONFIRMED,
    });
    if (!event.off)
      made.createAlarm({ type: ICalAlarmType.display, trigger: REMIND_SECONDS, description: event.summary });
  };
  const dated = due.flatMap((d) =>
    d.due !== null && (d.when === 'before leaving' || d.when === 'on a date') ? [{ ...d, due: d.due }] : [],
  );
  for (const d of dated.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.key < b.key ? -1 : 1))) {
    const { name, text } = words(d);
    add(d.key, d.due, 1, {
      summary: name,
      description: text,
      off: d.standing === 'done' || d.standing === 'skipped',
    });
  }
  if (trip?.leaves)
    add('trip', trip.leaves, Math.max(1, trip.days), { summary: trip.name, description: bike.name, off: false });
  // One maker's own properties say nothing that the standard's do not.
  return calendar.toString().replaceAll(/^X-MICROSOFT-[^\r\n]*\r?\n/gmu, '');
}
