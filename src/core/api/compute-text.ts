import type { Rules } from '../rules/rule-set';
import type { Problem } from '../schema/problems';
import { CALCULATIONS } from './compute';

/** What a calculation's text came to: its answer as text, or what is wrong with the request. */
export type ComputeAnswer =
  | { readonly kind: 'done'; readonly json: string }
  | { readonly kind: 'not-json' }
  | { readonly kind: 'unsound'; readonly problems: readonly Problem[] };

/** A calculation from a request's bytes to its answer's text. @param body UTF-8 JSON @throws where there is no calculation of that name */
export async function computeText(name: string, body: Uint8Array, rules: Rules): Promise<ComputeAnswer> {
  const calculation = CALCULATIONS.get(name);
  if (calculation === undefined) throw new Error(`there is no calculation ${name}`);
  let sent: unknown;
  try {
    sent = JSON.parse(new TextDecoder().decode(body));
  } catch {
    return { kind: 'not-json' };
  }
  const result = await calculation.run(sent, rules);
  return result.ok ? { kind: 'done', json: JSON.stringify(result.value) } : { kind: 'unsound', problems: result.error };
}
