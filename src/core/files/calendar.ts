/** Something with a day and a time of the artist's own clock. */
export interface CalendarEvent {
  /** Stays the same when the event is written again, so that a calendar moves it and adds no second one. */
  uid: string;
  title: string;
  note: string;
  /** A moment of the artist's own clock, or a whole day (ISO 8601). */
  begins: Date | string;
  /** Undefined where nobody knows. */
  ends?: Date | undefined;
  /** When it was written. */
  made_at: Date;
}

const LINE_OCTETS = 75;

/** Events as a calendar file (RFC 5545), in floating time: half past seven is half past seven wherever the file is opened. */
export function calendarFile(events: readonly CalendarEvent[]): string {
  const lines = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//Merry Lacquer//EN',
    ...events.flatMap(({ uid, title, note, begins, ends, made_at }) => [
      'BEGIN:VEVENT',
      `UID:${escaped(uid)}`,
      `DTSTAMP:${stamp(made_at)}`,
      typeof begins === 'string'
        ? `DTSTART;VALUE=DATE:${begins.replaceAll('-', '')}`
        : `DTSTART:${local(begins)}`,
      ...(ends ? [`DTEND:${local(ends)}`] : []),
      `SUMMARY:${escaped(title)}`,
      ...(note === '' ? [] : [`DESCRIPTION:${escaped(note)}`]),
      'END:VEVENT',
    ]),
    'END:VCALENDAR',
  ];
  return `${lines.map(folded).join('\r\n')}\r\n`;
}

/** Backslashes, commas, semicolons and ends of lines as 3.3.11 asks; other control characters have no place in a text. */
function escaped(text: string): string {
  return text
    .replace(/\\/g, '\\\\')
    .replace(/[,;]/g, '\\$&')
    .replace(/\r\n|\r|\n/g, '\\n')
    .replace(/[\p{Cc}]/gu, '');
}

/** Lines of at most 75 octets, gone on with behind a space; no character is cut in two (3.1). */
function folded(line: string): string {
  const encoder = new TextEncoder();
  let out = '';
  let octets = 0;
  for (const char of line) {
    const length = encoder.encode(char).length;
    if (octets + length > LINE_OCTETS) {
      out += '\r\n ';
      octets = 1;
    }
    out += char;
    octets += length;
  }
  return out;
}

const two = (part: number) => String(part).padStart(2, '0');

function local(at: Date): string {
  const day = `${at.getFullYear()}${two(at.getMonth() + 1)}${two(at.getDate())}`;
  return `${day}T${two(at.getHours())}${two(at.getMinutes())}${two(at.getSeconds())}`;
}

function stamp(at: Date): string {
  return `${at.toISOString().replace(/[-:]|\.\d+/g, '')}`;
}
