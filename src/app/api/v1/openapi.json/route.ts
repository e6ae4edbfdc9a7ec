import { openApiDocument } from '@/core/api/openapi';

export const GET = (): Response => Response.json(openApiDocument());
