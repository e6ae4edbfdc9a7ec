import { z } from 'zod';

const XMm = z.number().min(-1000).max(10_000);

export const BoreSealDoor = z.strictObject({
  id: z.string().min(1).max(100),
  role: z.enum(['pressure', 'secondary', 'static']),
  restXMm: XMm,
  contactMm: z.number().gt(0).max(200),
  travelMm: z.number().min(-1000).max(1000),
});
