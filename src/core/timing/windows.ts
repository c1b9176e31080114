import type { Broken, Problem, Schedule, Task } from './problem';

/** How long a step leaves for what must follow it, and how long that takes in this sitting. Seconds. */
export interface StepWindow {
  /** What must follow: "Into the lamp", "Burnished while it is warm". */
  words: string;
  guide_s: number;
  most_s: number;
  /** The operation that does so, where there is one. */
  follows?: string;
  /** From its end to that; undefined where nothing of the sitting follows. */
  taken_s?: number;
}

const DUE_WORDS: Partial<Record<Broken['kind'], string>> = {
  'primed-too-long': 'Covered',
  'gone-dull': 'Taken up while it is wet',
  'pinched-too-late': 'Pinched while it gives',
  cooled: 'Burnished while it is warm',
  'spill-left': 'The spill wiped off skin and nail',
  'soaked-too-long': 'Opened',
  'open-too-long': 'Worked into',
};

/** The windows of a sitting, by operation: what a film, a bead or a primed plate waits for, and for how long at most. */
export function windowsOf(
  { chains }: Pick<Problem, 'chains'>,
  schedule: Schedule,
): Record<string, StepWindow> {
  const startOf = new Map<string, number>();
  const endOf = new Map<string, number>();
  for (const stroke of schedule.strokes) {
    startOf.set(stroke.operation, stroke.start_s);
    endOf.set(stroke.operation, stroke.end_s);
  }
  for (const load of schedule.loads)
    for (const operation of load.operations) {
      startOf.set(operation, load.start_s);
      endOf.set(operation, load.end_s);
    }
  const windows: Record<string, StepWindow> = {};
  for (const { tasks } of chains)
    tasks.forEach((task, i) => {
      const window = windowOf(task);
      // What is over before the work is done is told, and no window to be kept.
      if (!window || !Number.isFinite(window.most_s) || window.most_s <= 0) return;
      const follows = tasks.slice(i + 1).find(window.by);
      const [end_s, start_s] = [endOf.get(task.operation), follows && startOf.get(follows.operation)];
      windows[task.operation] = {
        words: window.words,
        guide_s: window.guide_s,
        most_s: window.most_s,
        ...(follows ? { follows: follows.operation } : {}),
        ...(end_s !== undefined && start_s !== undefined
          ? { taken_s: Math.max(0, Math.round(start_s - end_s)) }
          : {}),
      };
    });
  return windows;
}

function windowOf(
  task: Task,
): (Pick<StepWindow, 'words' | 'guide_s' | 'most_s'> & { by: (next: Task) => boolean }) | undefined {
  const { due, open } = task;
  const words = due && DUE_WORDS[due.kind];
  if (due && words) {
    const by = due.to === 'next' ? () => true : (next: Task) => next.wet;
    return { words, guide_s: due.guide_s, most_s: due.most_s, by };
  }
  return open && { words: 'Into the lamp', ...open, by: (next: Task) => next.light !== undefined };
}

/** Seconds as they are said: "45 s", "2 min", "2 min 30 s". */
function said(seconds: number): string {
  const [minutes, rest] = [Math.floor(seconds / 60), Math.round(seconds % 60)];
  return [minutes > 0 ? `${minutes} min` : '', rest > 0 || minutes === 0 ? `${rest} s` : '']
    .filter(Boolean)
    .join(' ');
}

/** "Into the lamp within 2 min, 3 min at most; here after 45 s". */
export function windowWords({ words, guide_s, most_s, taken_s }: StepWindow): string {
  const most = most_s > guide_s ? `, ${said(most_s)} at most` : '';
  const here =
    taken_s === undefined ? '' : taken_s === 0 ? '; here at once' : `; here after ${said(taken_s)}`;
  return `${words} within ${said(guide_s)}${most}${here}`;
}

/** So short that the card says it beside the work. */
const SHORT_S = 90;

/** What the card says of a window: nothing of those that no hand would miss; where the sitting goes past its guide, how far. */
export function shortWindow(window: StepWindow | undefined): string | undefined {
  if (!window || window.most_s > SHORT_S) return undefined;
  // What is held under its light at once is no wait that anyone could miss; powder has to be at hand when the lamp ends.
  if (window.taken_s === 0 && window.words !== DUE_WORDS.cooled) return undefined;
  const { words, guide_s, most_s, taken_s = 0 } = window;
  const within = `${words.toLowerCase()} within ${said(guide_s)}`;
  return taken_s > guide_s ? `${within}, ${said(most_s)} at most; here after ${said(taken_s)}` : within;
}
