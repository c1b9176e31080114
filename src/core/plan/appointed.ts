import type { Appointment } from '../model/appointment';
import type { Forecast } from '../timing/forecast';

/** An evening by the clock: when she sits down, when half and nine of ten of such evenings are over, and when it has to be. */
export interface AppointedTimes {
  begins: Date;
  half: Date;
  nine: Date;
  until?: Date;
  /** By how much nine of ten miss that end, in seconds; less than nothing is room. */
  over_s?: number;
}

const MINUTE_MS = 60_000;
const DAY_MS = 24 * 60 * MINUTE_MS;

/** When she sits down, by the artist's own clock, late as she is; undefined where no time is agreed. */
export function beginsAt(appointment: Appointment | null): Date | undefined {
  if (!appointment || appointment.at === null) return undefined;
  const agreed = new Date(`${appointment.on}T${appointment.at}:00`);
  if (Number.isNaN(agreed.getTime())) return undefined;
  return new Date(agreed.getTime() + (appointment.late_min ?? 0) * MINUTE_MS);
}

/** When the first work begins: what is made ahead is done by the time she sits down. */
export function workBeginsAt(appointment: Appointment | null, ahead_s: number): Date | undefined {
  const sits = beginsAt(appointment);
  return sits && new Date(sits.getTime() - ahead_s * 1000);
}

/** When it has to be over: on the day it begins, or on the next where that hour is past by then. Lateness does not move it. */
export function mustEndAt(appointment: Appointment | null): Date | undefined {
  if (!appointment?.until || appointment.at === null) return undefined;
  const day = (at: number) => {
    const noon = new Date(new Date(`${appointment.on}T12:00:00`).getTime() + at * DAY_MS);
    const two = (n: number) => String(n).padStart(2, '0');
    const on = `${noon.getFullYear()}-${two(noon.getMonth() + 1)}-${two(noon.getDate())}`;
    return new Date(`${on}T${appointment.until}:00`);
  };
  const agreed = new Date(`${appointment.on}T${appointment.at}:00`);
  const end = day(0);
  if (Number.isNaN(end.getTime()) || Number.isNaN(agreed.getTime())) return undefined;
  return end > agreed ? end : day(1);
}

/** By the artist's own clock, over midnight and over its change; undefined where no time is agreed. To whole minutes, upward; `ahead_s`: of the work, what is done before. */
export function appointedTimes(
  appointment: Appointment | null,
  { half_s, nine_s }: Pick<Forecast, 'half_s' | 'nine_s'>,
  ahead_s = 0,
): AppointedTimes | undefined {
  const begins = beginsAt(appointment);
  if (!begins) return undefined;
  const after = (s: number) =>
    new Date(begins.getTime() + Math.ceil(((s - ahead_s) * 1000) / MINUTE_MS) * MINUTE_MS);
  const nine = after(nine_s);
  const until = mustEndAt(appointment);
  return {
    begins,
    half: after(half_s),
    nine,
    ...(until ? { until, over_s: (nine.getTime() - until.getTime()) / 1000 } : {}),
  };
}
