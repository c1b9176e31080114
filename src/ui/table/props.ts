import type { SetDocument } from '@/core/document/document';
import type { Plan } from '@/core/plan/planSet';
import type { Stock } from '@/core/stock/held';
import type { Need } from '@/core/stock/needs';

/** What every part of this view is worked out from. */
export interface TableProps {
  set: SetDocument;
  plan: Plan;
  needs: readonly Need[];
  stock: Stock;
}
