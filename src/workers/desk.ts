import { messageOf } from '@/core/model/messageOf';

/** Somebody who answers until they are dismissed: a worker, or a stand-in for one. */
export interface Hired<Api> {
  api: Api;
  dismiss: () => void;
}

/** Starts a worker. `onLost` is called when it cannot be started or breaks down. */
export type Hire<Api> = (onLost: (message: string) => void) => Hired<Api>;

export type WorkFault = 'lost' | 'slow' | 'threw';

/** Why a piece of work was not done. */
export class WorkFailed extends Error {
  constructor(
    readonly fault: WorkFault,
    message: string,
  ) {
    super(message);
    this.name = 'WorkFailed';
  }
}

/** Asked twice at most: what failed once may have been the worker, what fails again is the work. */
const MOST_TRIES = 2;

interface AtWork<Api> {
  hired: Hired<Api>;
  /** Rejects when the worker is lost. */
  gone: Promise<never>;
  leave: (why: WorkFailed) => void;
}

/**
 * A place where work is asked for. Every piece has a time limit; a worker that dies, throws or does not answer is
 * dismissed, a new one is hired, and what others had asked of the old one is asked again.
 */
export class Desk<Api> {
  private now: AtWork<Api> | undefined;

  constructor(private readonly hire: Hire<Api>) {}

  async ask<T>(work: (api: Api) => Promise<T>, limit_s: number): Promise<T> {
    for (let tries = 1; ; tries += 1) {
      let one: AtWork<Api> | undefined;
      try {
        one = this.now ??= this.start();
        return await within(limit_s, Promise.race([work(one.hired.api), one.gone]));
      } catch (error) {
        const fault = one ? 'threw' : 'lost';
        const why = error instanceof WorkFailed ? error : new WorkFailed(fault, messageOf(error));
        if (one && this.now === one) this.dismiss(new WorkFailed('lost', why.message));
        if (tries === MOST_TRIES) throw why;
      }
    }
  }

  /** Hires a worker before anything is asked of it. */
  open(): void {
    try {
      this.now ??= this.start();
    } catch {
      // Whoever asks is told.
    }
  }

  /** Tells whoever is there; nobody is hired to hear it, and no answer is waited for. */
  tell(word: (api: Api) => Promise<unknown>): void {
    if (this.now) word(this.now.hired.api).catch(() => undefined);
  }

  /** What was asked of the worker is asked again of another. */
  private dismiss(why: WorkFailed): void {
    const one = this.now;
    this.now = undefined;
    one?.leave(why);
    one?.hired.dismiss();
  }

  private start(): AtWork<Api> {
    let leave: (why: WorkFailed) => void = () => undefined;
    const gone = new Promise<never>((_, reject) => (leave = reject));
    // Nobody may be waiting when it happens.
    gone.catch(() => undefined);
    return { hired: this.hire((message) => leave(new WorkFailed('lost', message))), gone, leave };
  }
}

function within<T>(limit_s: number, work: Promise<T>): Promise<T> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const late = new Promise<never>((_, reject) => {
    timer = setTimeout(
      () => reject(new WorkFailed('slow', `there was no answer for ${limit_s} s`)),
      limit_s * 1000,
    );
  });
  return Promise.race([work, late]).finally(() => clearTimeout(timer));
}
