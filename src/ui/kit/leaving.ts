/** Asked before a view is left inside the page. */
interface Guard {
  /** Whether it takes the matter in hand; it goes on to `path` itself if the artist so chooses. */
  holds: (path: string) => boolean;
  /** The address of what is guarded. */
  here: () => string;
}

let guard: Guard | undefined;

/** Sets a guard over links, and over the browser's back and forward; what is returned takes it away. */
export function guardLeaving(next: Guard): () => void {
  guard = next;
  const onBack = (event: PopStateEvent) => {
    if (!next.holds(window.location.pathname)) return;
    // The address has changed by now, and is put as it was, before anybody follows it.
    event.stopImmediatePropagation();
    window.history.pushState(null, '', next.here());
  };
  window.addEventListener('popstate', onBack, { capture: true });
  return () => {
    if (guard === next) guard = undefined;
    window.removeEventListener('popstate', onBack, { capture: true });
  };
}

/** Whether somebody has taken it in hand. */
export function heldBack(path: string): boolean {
  return guard?.holds(path) ?? false;
}
