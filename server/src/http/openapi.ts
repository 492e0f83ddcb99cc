import { createDocument } from 'zod-openapi';
import { endpoints } from '@bay/contract/all';
import { problem } from '@bay/contract/endpoint';

/** The OpenAPI document, made from the contract. */
export function openApiDocument(): object {
  const paths: Record<string, Record<string, unknown>> = {};
  for (const [name, e] of endpoints) {
    const path = e.path.replace(/:(\w+)/g, '{$1}');
    const problems = { 'application/problem+json': { schema: problem } };
    paths[path] = {
      ...paths[path],
      [e.method]: {
        operationId: name,
        summary: e.summary,
        description: `Access: ${e.access}.`,
        requestParams: { path: e.params, query: e.query },
        ...(e.method === 'get' ? {} : { requestBody: { content: { 'application/json': { schema: e.body } } } }),
        responses: {
          '200': {
            description: 'Done',
            content: e.gives
              ? Object.fromEntries(e.gives.map((type) => [type, {}]))
              : { 'application/json': { schema: e.reply } },
          },
          '4XX': { description: 'Refused, with a sentence', content: problems },
        },
      },
    };
  }
  return createDocument({ openapi: '3.1.0', info: { title: 'Veteran Bay', version: '0.1.0' }, paths: paths });
}
