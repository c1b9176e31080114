/** "1 h 18 min", "45 min", "40 s". */
export function timeWords(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  const rest = minutes % 60;
  return rest === 0 ? `${Math.floor(minutes / 60)} h` : `${Math.floor(minutes / 60)} h ${rest} min`;
}

/** Waited for and not planned with, a time is said to its second: "90 s", "2 min 30 s", "5 min". */
export function waitWords(seconds: number): string {
  const whole = Math.round(seconds);
  if (whole < 120) return `${whole} s`;
  if (whole >= 600 || whole % 60 === 0) return timeWords(whole);
  return `${Math.floor(whole / 60)} min ${whole % 60} s`;
}

/** "1:04:10", for a clock along the sitting. */
export function clockWords(seconds: number): string {
  const whole = Math.round(seconds);
  const h = Math.floor(whole / 3600);
  const m = Math.floor((whole % 3600) / 60);
  const s = whole % 60;
  const two = (n: number) => String(n).padStart(2, '0');
  return h > 0 ? `${h}:${two(m)}:${two(s)}` : `${m}:${two(s)}`;
}
