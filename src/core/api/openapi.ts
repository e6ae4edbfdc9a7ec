import { z } from 'zod';
import { createDocument, type ZodOpenApiPathsObject } from 'zod-openapi';
import { SentReadings } from '../gauge/sent-reading';
import { CALCULATIONS } from './compute';

const ProblemSchema = z
  .object({ type: z.string(), title: z.string(), status: z.number(), errors: z.array(z.object({ path: z.string(), message: z.string() })) })
  .meta({ id: 'Problem', description: 'Everything wrong with the request, by path; an empty path is the whole body.' });

const refusal = (description: string) => ({ description, content: { 'application/problem+json': { schema: ProblemSchema } } });

/** The API's document, made from the schemas that validate. */
export const openApiDocument = () =>
  createDocument({
    openapi: '3.1.0',
    info: {
      title: 'Eddrin',
      version: '1',
      description:
        'The shop’s calculations, stateless. Units are in the names; unknown is absent or null, never 0; extra fields are ignored at the top level only.',
    },
    components: { securitySchemes: { token: { type: 'http', scheme: 'bearer' } } },
    security: [{ token: [] }],
    paths: {
      '/api/v1/devices/{id}/readings': {
        post: {
          operationId: 'post-readings',
          summary: 'A gauge posts its readings, with its own token, into the grid that is open with it.',
          requestParams: { path: z.object({ id: z.string() }) },
          requestBody: { required: true, content: { 'application/json': { schema: SentReadings } } },
          responses: {
            202: { description: 'Taken; a person saves them.' },
            400: refusal('Not JSON.'),
            401: refusal('Not the token of this gauge.'),
            409: refusal('No grid is open with this gauge.'),
            422: refusal('Wrong input: every problem listed.'),
          },
        },
      },
      ...Object.fromEntries(
        [...CALCULATIONS].map(([name, { summary, request }]): [string, ZodOpenApiPathsObject[string]] => [
          `/api/v1/compute/${name}`,
          {
            post: {
              operationId: name,
              summary,
              requestBody: { required: true, content: { 'application/json': { schema: request } } },
              responses: {
                200: {
                  description: 'The answer, unrounded, with the rules it used.',
                  content: { 'application/json': { schema: z.looseObject({ rulesUsed: z.record(z.string(), z.number()) }) } },
                },
                400: refusal('Not JSON.'),
                401: refusal('No session and no token.'),
                422: refusal('Wrong input: every problem listed.'),
              },
            },
          },
        ]),
      ),
    },
  });
