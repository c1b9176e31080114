/** The views of one set, in the order the work goes. */
export const SET_VIEWS = [
  'hands',
  'practice',
  'design',
  'layers',
  'timing',
  'table',
  'card',
  'bench',
  'wear',
] as const;
export type SetView = (typeof SET_VIEWS)[number];

/** Where in the program an address leads. */
export type Route =
  | { kind: 'sets' }
  | { kind: 'shelf' }
  | { kind: 'shopping' }
  | { kind: 'holds' }
  | { kind: 'clients'; id?: string }
  | { kind: 'set'; id: string; view: SetView };

/** The route of an address' parts; undefined where nothing stands there. A set without a view opens in Design. */
export function routeOf(parts: readonly string[]): Route | undefined {
  const named = parts.filter(Boolean);
  const [first, id, view = 'design', ...more] = named;
  if (first === undefined) return { kind: 'sets' };
  if (first === 'shelf') return id === undefined ? { kind: 'shelf' } : undefined;
  if (first === 'shopping') return id === undefined ? { kind: 'shopping' } : undefined;
  if (first === 'holds') return id === undefined ? { kind: 'holds' } : undefined;
  if (first === 'clients') return named.length > 2 ? undefined : { kind: 'clients', ...(id ? { id } : {}) };
  if (first !== 'set' || !id || more.length > 0) return undefined;
  const known = SET_VIEWS.find((one) => one === view);
  return known && { kind: 'set', id, view: known };
}

/** The route of a page's path, as the browser writes it. */
export function routeOfPath(path: string): Route | undefined {
  try {
    return routeOf(path.split('/').map(decodeURIComponent));
  } catch {
    // Not a well-formed address.
    return undefined;
  }
}

export function pathOf(route: Route): string {
  if (route.kind === 'clients') return route.id ? `/clients/${encodeURIComponent(route.id)}` : '/clients';
  if (route.kind !== 'set') return route.kind === 'sets' ? '/' : `/${route.kind}`;
  return `/set/${encodeURIComponent(route.id)}/${route.view}`;
}
