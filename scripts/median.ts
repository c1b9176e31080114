/** Median milliseconds of a job over so many runs, warm; the job is told which run it is. */
export function median_ms(job: (i: number) => unknown, runs: number): number {
  for (let i = 0; i < 4; i += 1) job(i);
  const times = Array.from({ length: runs }, (_, i) => {
    const start = performance.now();
    job(i);
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return Math.round(times[Math.floor(runs / 2)]! * 10) / 10;
}
