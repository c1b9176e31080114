/** Asked before a view is left inside the page. */
interface Guard {
  /** Whether it takes the matter in hand; it goes on to `path` itself if the artist so chooses. */
  holds: (path: string) => boolean;
}

let guard: Guard | undefined;

/** What is used of the browser's Navigation API, where it has one. */
interface Going extends Event {
  navigationType: string;
  destination: { url: string };
}

/** Sets a guard over links, and over the browser's back and forward; what is returned takes it away. */
export function guardLeaving(next: Guard): () => void {
  guard = next;
  const { navigation } = window as { navigation?: EventTarget };
  const onGoing = (event: Event) => {
    const { navigationType, destination, cancelable } = event as Going;
    if (navigationType !== 'traverse' || !cancelable) return;
    if (next.holds(new URL(destination.url).pathname)) event.preventDefault();
  };
  navigation?.addEventListener('navigate', onGoing);
  return () => {
    if (guard === next) guard = undefined;
    navigation?.removeEventListener('navigate', onGoing);
  };
}

/** Whether somebody has taken it in hand. */
export function heldBack(path: string): boolean {
  return guard?.holds(path) ?? false;
}
