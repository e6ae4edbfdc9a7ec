import type { CorrectStock, FaultLot, Order, Receive, Reorder } from '@/core/store/store-doors';
import type { Ask } from '@/ui/save/use-ask';

export type StockActions = {
  readonly receive: Ask<Receive>;
  readonly correct: Ask<CorrectStock>;
  readonly fault: Ask<FaultLot>;
  readonly order: Ask<Order>;
  readonly reorder: Ask<Reorder>;
};
