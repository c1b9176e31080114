/** Figures are rounded where they leave the core, so that every machine prints the same plan. */
export function rounded(value: number, digits = 3): number {
  const scale = 10 ** digits;
  // Adding nought turns −0, which no file can hold, into 0.
  return Math.round(value * scale) / scale + 0;
}
