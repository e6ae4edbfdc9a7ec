import { z } from 'zod';
import { createDocument, type ZodOpenApiPathsObject } from 'zod-openapi';
import { EventsAsked, ReadEvents, ReadRecord, ReadUnits, UnitsAsked } from '../book/read-schemas';
import { SentReadings } from '../gauge/sent-reading';
import { CALCULATIONS } from './compute';

const ProblemSchema = z
  .object({ type: z.string(), title: z.string(), status: z.number(), errors: z.array(z.object({ path: z.string(), message: z.string() })) })
  .meta({ id: 'Problem', description: 'Everything wrong with the request, by path; an empty path is the whole body.' });

const refusal = (description: string) => ({ description, content: { 'application/problem+json': { schema: ProblemSchema } } });

const readAnswers = (description: string, schema: z.ZodType) => ({
  200: { description, content: { 'application/json': { schema } } },
  401: refusal('No token for reading.'),
  422: refusal('The address asks for something that cannot be.'),
});

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
      '/api/v1/units': {
        get: {
          operationId: 'read-units',
          summary: 'Units by their tags, a page at a time. Needs a token for reading.',
          requestParams: { query: UnitsAsked },
          responses: readAnswers('A page of units, and how many there are in all.', ReadUnits),
        },
      },
      '/api/v1/units/{tag}': {
        get: {
          operationId: 'read-unit',
          summary: 'One unit with its record. Needs a token for reading.',
          requestParams: { path: z.object({ tag: z.string() }) },
          responses: { ...readAnswers('The unit.', ReadRecord), 404: refusal('There is no such unit.') },
        },
      },
      '/api/v1/events': {
        get: {
          operationId: 'read-events',
          summary: 'What was done to units, in the order in which it was written, a page at a time. Needs a token for reading.',
          requestParams: { query: EventsAsked },
          responses: readAnswers('A page of events.', ReadEvents),
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
