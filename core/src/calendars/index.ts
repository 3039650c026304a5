export * from './iCalendar';
