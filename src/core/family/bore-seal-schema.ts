import { z } from 'zod';
import { text } from '../schema/text';

const XMm = z.number().min(-1000).max(10_000);

export const BoreSealSchema = z.strictObject({
  id: text().min(1).max(100),
  role: z.enum(['pressure', 'secondary', 'static']),
  restXMm: XMm,
  contactMm: z.number().gt(0).max(200),
  travelMm: z.number().min(-1000).max(1000),
});
