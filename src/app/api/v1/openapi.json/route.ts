import { openApiDocument } from '@/core/wire/openapi';

export const GET = (): Response => Response.json(openApiDocument());
