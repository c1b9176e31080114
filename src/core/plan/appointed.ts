import type { Appointment } from '../model/appointment';
import type { Forecast } from '../timing/forecast';

/** An evening by the clock: when she sits down, when half and nine of ten of such evenings are over. */
export interface AppointedTimes {
  begins: Date;
  half: Date;
  nine: Date;
}

const MINUTE_MS = 60_000;

/** By the artist's own clock, over midnight and over its change; undefined where no time is agreed. To whole minutes, upward. */
export function appointedTimes(
  appointment: Appointment | null,
  { half_s, nine_s }: Pick<Forecast, 'half_s' | 'nine_s'>,
): AppointedTimes | undefined {
  if (!appointment || appointment.at === null) return undefined;
  const begins = new Date(`${appointment.on}T${appointment.at}:00`);
  if (Number.isNaN(begins.getTime())) return undefined;
  const after = (s: number) => new Date(begins.getTime() + Math.ceil((s * 1000) / MINUTE_MS) * MINUTE_MS);
  return { begins, half: after(half_s), nine: after(nine_s) };
}
