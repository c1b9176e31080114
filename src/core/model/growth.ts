/** Fingernails grow 3.47 mm a month on average: Yaemsiri et al. 2010, J. Eur. Acad. Dermatol. Venereol. 24:420–423. */
const GROWTH_MM_A_MONTH = 3.47;
const WEEKS_A_MONTH = 365.25 / 12 / 7;

/** Bare plate that has grown out from under a set after so many weeks, in mm; an average, and hands differ. */
export function grown_mm(weeks: number): number {
  return (weeks * GROWTH_MM_A_MONTH) / WEEKS_A_MONTH;
}
