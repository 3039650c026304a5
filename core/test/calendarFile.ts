/** A calendar file of entries, each as its lines. */
export const calendarFile = (...entries: string[]) =>
  [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//test//EN',
    ...entries.flatMap((entry, i) => ['BEGIN:VEVENT', `UID:${i}`, ...entry.split('\n'), 'END:VEVENT']),
    'END:VCALENDAR',
    '',
  ].join('\r\n');
