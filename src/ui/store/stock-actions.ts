import type { Ask } from '@/ui/save/use-ask';

export type StockActions = {
  readonly receive: Ask;
  readonly correct: Ask;
  readonly fault: Ask;
  readonly order: Ask;
  readonly reorder: Ask;
};
