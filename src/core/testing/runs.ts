/** How often a property is tried: few on each run, all where the whole is asked for (`npm run fuzz`). */
export function runs(few: number, whole: number): number {
  return process.env.WHOLE_PROPERTIES === '1' ? whole : few;
}
