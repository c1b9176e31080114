'use client';
import '@/core/model/jitless';
import { usePathname } from 'next/navigation';
import { useEffect, useSyncExternalStore } from 'react';
import { openStore, storeState, watchStore, type StoreState } from '@/data/store';
import { openWorkers } from '@/workers/planner';
import { late } from '../kit/late';
import { notDone } from '../kit/notify';
import { catchTheRest, unforeseen } from '../kit/unforeseen';
import { Lost } from './Lost';
import { NotThere } from './NotThere';
import { NewVersion } from './NewVersion';
import { routeOfPath, type Route } from '../kit/route';
import { StoreNews } from './StoreNews';
import { StoreTrouble } from './StoreTrouble';
import { StudioShell } from '../studio/StudioShell';
import { VIEW_PARTS } from '../studio/viewParts';
import { ViewBoundary } from './ViewBoundary';
import classes from './App.module.css';

const Opening = () => <p className={classes.waiting}>Opening …</p>;
const SetsView = late(() => import('../sets/SetsView').then((module) => module.SetsView), 'Sets', {
  instead: Lost,
  meanwhile: Opening,
});
const ShelfView = late(() => import('../shelf/ShelfView').then((module) => module.ShelfView), 'The shelf', {
  instead: Lost,
  meanwhile: Opening,
});

const ClientsView = late(
  () => import('../clients/ClientsView').then((module) => module.ClientsView),
  'The clients',
  { instead: Lost, meanwhile: Opening },
);

const ShoppingView = late(
  () => import('../shelf/ShoppingView').then((module) => module.ShoppingView),
  'What to buy',
  { instead: Lost, meanwhile: Opening },
);

const HoldsView = late(() => import('../wear/HoldsView').then((module) => module.HoldsView), 'What holds', {
  instead: Lost,
  meanwhile: Opening,
});

/** Works beside whatever view is open. */
const SettleShelf = late(() => import('./SettleShelf').then((module) => module.SettleShelf), 'The shelf', {
  instead: () => null,
  meanwhile: () => null,
});

const OPENING: StoreState = { kind: 'opening' };

// What the address names comes, and the store opens, while React takes the page over. What fails is told where it is needed.
if (typeof window !== 'undefined') {
  bringFor(routeOfPath(window.location.pathname));
  openStore().catch(unforeseen);
}

/** The whole program: the store first, then the view that the address names. */
export function App() {
  const route = routeOfPath(usePathname());
  const store = useSyncExternalStore(watchStore, storeState, () => OPENING);
  useEffect(() => catchTheRest(notDone), []);
  useEffect(() => {
    if (store.kind !== 'memory') return;
    // Nothing outlives this page.
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [store.kind]);
  return (
    <div className={classes.frame}>
      <div className={classes.news}>
        <StoreNews store={store} />
        <NewVersion />
      </div>
      <div className={classes.view}>{view(route, store)}</div>
      {(store.kind === 'ready' || store.kind === 'memory') && <SettleShelf />}
    </div>
  );
}

function view(route: Route | undefined, store: StoreState) {
  if (store.kind === 'opening') return <Opening />;
  if (store.kind === 'failed' || store.kind === 'blocked') return <StoreTrouble store={store} />;
  if (!route) return <NotThere />;
  return (
    <ViewBoundary key={route.kind === 'set' ? route.id : route.kind}>
      {route.kind === 'sets' && <SetsView />}
      {route.kind === 'shelf' && <ShelfView />}
      {route.kind === 'shopping' && <ShoppingView />}
      {route.kind === 'holds' && <HoldsView />}
      {route.kind === 'clients' && <ClientsView {...(route.id ? { id: route.id } : {})} />}
      {route.kind === 'set' && <StudioShell id={route.id} view={route.view} />}
    </ViewBoundary>
  );
}

function bringFor(route: Route | undefined): void {
  const comes = (part: Promise<unknown>) => void part.catch(() => undefined);
  if (route?.kind === 'set') {
    openWorkers();
    comes(VIEW_PARTS[route.view]());
    return;
  }
  if (route?.kind === 'clients') comes(ClientsView.bring());
  else if (route?.kind === 'shopping') comes(ShoppingView.bring());
  else if (route?.kind === 'holds') comes(HoldsView.bring());
  else comes(route?.kind === 'shelf' ? ShelfView.bring() : SetsView.bring());
}
