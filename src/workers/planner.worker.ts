import { expose } from 'comlink';
import { plannerApi } from './plannerApi';

expose(plannerApi());
