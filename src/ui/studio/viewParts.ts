import type { ComponentType } from 'react';
import type { SetView } from '../kit/route';

/** Where the views of an open set come from. Light, so that they can be sent for before the frame they stand in is there. */
export const VIEW_PARTS: Record<SetView, () => Promise<ComponentType>> = {
  hands: () => import('../hands/HandsView').then((m) => m.HandsView),
  practice: () => import('../practice/PracticeView').then((m) => m.PracticeView),
  design: () => import('../design/DesignView').then((m) => m.DesignView),
  layers: () => import('../layers/LayersView').then((m) => m.LayersView),
  timing: () => import('../timing/TimingView').then((m) => m.TimingView),
  table: () => import('../table/TableView').then((m) => m.TableView),
  card: () => import('../card/CardView').then((m) => m.CardView),
  wear: () => import('../wear/WearView').then((m) => m.WearView),
  bench: () => import('../bench/BenchView').then((m) => m.BenchView),
};
