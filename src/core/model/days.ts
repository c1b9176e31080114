/** "25 Nov 2026" of a day as it is stored. */
export function dayWords(on: string): string {
  return new Date(`${on}T12:00:00`).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  });
}

/** Today, as it is stored: the day where the artist sits. */
export function today(now = new Date()): string {
  const two = (part: number) => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}

/** A day so many days after another; at noon, so that no change of the clock moves it. */
export function dayAfter(on: string, days: number): string {
  const date = new Date(`${on}T12:00:00`);
  date.setDate(date.getDate() + days);
  return today(date);
}
