import { pathOf, routeOfPath, SET_VIEWS, type Route } from './route';

describe('addresses', () => {
  it('lead where they were made for', () => {
    const routes: Route[] = [
      { kind: 'sets' },
      { kind: 'shelf' },
      { kind: 'clients' },
      { kind: 'clients', id: 'client-7' },
      ...SET_VIEWS.map((view): Route => ({ kind: 'set', id: 'curtain-up', view })),
      { kind: 'set', id: 'a/b %', view: 'card' },
    ];
    for (const route of routes) expect(routeOfPath(pathOf(route))).toEqual(route);
  });

  it('of a set alone lead to Design', () => {
    expect(routeOfPath('/set/mine')).toEqual({ kind: 'set', id: 'mine', view: 'design' });
    expect(routeOfPath('/set/mine/')).toEqual({ kind: 'set', id: 'mine', view: 'design' });
  });

  it.each([
    '/sets',
    '/shelf/red',
    '/clients/one/two',
    '/set',
    '/set/mine/cards',
    '/set/mine/card/more',
    '/set/%E0%A4%A/card',
    '/x/y/z',
  ])('%s leads nowhere', (path) => expect(routeOfPath(path)).toBeUndefined());
});
