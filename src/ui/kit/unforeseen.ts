/** For work that tells its own failures: what fails nevertheless goes to the last catcher. */
export function unforeseen(error: unknown): void {
  reportError(error);
}

/** A browser says this when it lays out again in one frame; nothing has failed. */
const HARMLESS = /ResizeObserver loop/;

/** The last catcher: tells what failed with nobody to tell it, each sentence once. Returns how to stop. */
export function catchTheRest(tell: (error: unknown) => void): () => void {
  const told = new Set<string>();
  const once = (error: unknown) => {
    const words = String(error);
    if (error === undefined || error === null || HARMLESS.test(words) || told.has(words)) return;
    told.add(words);
    tell(error);
  };
  const onError = (event: ErrorEvent) => once(event.error ?? event.message);
  const onRejection = (event: PromiseRejectionEvent) => once(event.reason);
  window.addEventListener('error', onError);
  window.addEventListener('unhandledrejection', onRejection);
  return () => {
    window.removeEventListener('error', onError);
    window.removeEventListener('unhandledrejection', onRejection);
  };
}
