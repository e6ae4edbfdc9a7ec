import { customersUnit } from '@/core/unit/customers-unit';
import { inPool } from '@/pool/pool';
import { paperAnswer } from '../../../_server/paper-answer';
import { quoteAtKey } from '../../../_server/quote-now';
import { problem, shopOrigin } from '../../../_server/request';

/** A quote on paper, for whoever has its address: its customer, and the shop. */
export async function GET(request: Request, { params }: { params: Promise<{ key: string }> }): Promise<Response> {
  const { key } = await params;
  const found = await quoteAtKey(key, request.headers, Date.now());
  if (found.kind === 'too-many') return problem(429, 'Too much was asked from your address at once. Wait a minute.');
  if (found.kind !== 'shown') return problem(404, 'There is no such quote, or it has ended.');
  const { quote, record } = found;
  return paperAnswer(
    await inPool('quote', [
      { ...customersUnit(record), customer: record.job.customer, quote, address: `${shopOrigin(request.headers)}/quote/${key}` },
    ]),
  );
}
