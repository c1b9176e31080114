'use client';
import type { ComponentProps, MouseEvent } from 'react';
import { heldBack } from './leaving';

/** Goes to another view without asking the server: all views are in the page, or come as parts of it. */
export function go(path: string): void {
  if (heldBack(path)) return;
  window.history.pushState(null, '', path);
}

/** A link to another view. Opened in a new tab, it is an ordinary one. */
export function Go({ href, onClick, ...rest }: ComponentProps<'a'> & { href: string }) {
  const follow = (event: MouseEvent<HTMLAnchorElement>) => {
    onClick?.(event);
    const ordinary = event.metaKey || event.ctrlKey || event.shiftKey || event.altKey || event.button !== 0;
    if (ordinary || event.defaultPrevented) return;
    event.preventDefault();
    go(href);
  };
  return <a href={href} onClick={follow} {...rest} />;
}
