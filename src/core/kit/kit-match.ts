import { type BestSet, bestSet } from './best-set';
import { type KitMatch, matchKit } from './match-kit';
import type { Need, Store } from './need';

export type KitMatchInput = Omit<Store, 'allowUnverified' | 'sundries'> & {
  readonly needs: readonly Need[];
  readonly sundries?: Store['sundries'] | null | undefined;
  readonly allowUnverified?: boolean | null | undefined;
};
export type KitMatches = { readonly kits: readonly KitMatch[]; readonly best: BestSet; readonly rulesUsed: Record<string, never> };

/** Which kit covers this unit, piece by piece; and the best set of kits and sundries. @source design, chapter 5 */
export async function kitMatch(input: KitMatchInput): Promise<KitMatches> {
  const allowUnverified = input.allowUnverified ?? false;
  return {
    kits: input.kits.map((kit) => matchKit(input.needs, kit, allowUnverified)),
    best: await bestSet(input.needs, { ...input, sundries: input.sundries ?? [], allowUnverified }),
    rulesUsed: {},
  };
}
