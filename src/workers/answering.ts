// First: schemas are made as what follows is loaded.
import '@/core/model/jitless';
import { expose } from 'comlink';
import { plannerApi } from './plannerApi';

/** What a worker works with, from now on at the page's service. */
export function answer(): void {
  expose(plannerApi());
}
