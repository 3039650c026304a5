export * from './readDaysOff';
export * from './writeCalendar';
