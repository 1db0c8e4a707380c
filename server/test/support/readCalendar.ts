import ICAL from 'ical.js';

/** An event as a calendar program reads it that is not ours. */
interface ReadEvent {
  readonly uid: string;
  readonly summary: string;
  /** As it stands on the clock of whoever reads it; of a whole day its day alone. */
  readonly start: string;
  readonly end: string;
}

/** @throws where it is no iCalendar (RFC 5545), an event has no name of its own, or ends before it begins */
export function readCalendar(text: string): readonly ReadEvent[] {
  const calendar = new ICAL.Component(ICAL.parse(text) as string);
  if (calendar.name !== 'vcalendar' || calendar.getFirstPropertyValue('version') !== '2.0') throw new Error('no calendar');
  const events = calendar.getAllSubcomponents('vevent').map((component) => {
    const event = new ICAL.Event(component);
    if (event.endDate.compare(event.startDate) <= 0) throw new Error(`${event.summary} ends before it begins`);
    return { uid: event.uid, summary: event.summary, start: event.startDate.toString(), end: event.endDate.toString() };
  });
  if (new Set(events.map(({ uid }) => uid)).size !== events.length) throw new Error('two events have one name');
  return events;
} // prettier-ignore
