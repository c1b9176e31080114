/** So far ahead a calendar is read. */
export const CALENDAR_DAYS = 120;
