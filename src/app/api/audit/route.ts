import { z } from 'zod';
import { MOST_BYTES } from '@/core/format/text';
import { PROTOCOLS, protocolById, ROLES } from '@/core/protocol';
import { MOST_GRAMS, MOST_SERVINGS } from '@/core/recipe/limits';
import { readBody, refuse } from '@/server/body';
import { inThread, workHere } from '@/server/pool';

/** Characters from which a text is read in a thread of its own. */
const LONG = 20_000;

const Body = z.object({
  text: z.string(),
  protocol: z.string(),
  servings: z.number().positive().max(MOST_SERVINGS).optional(),
  role: z.enum(ROLES).optional(),
  potG: z.number().positive().max(MOST_GRAMS).optional(),
  plateG: z.number().positive().max(MOST_GRAMS).optional(),
});

/** `POST /api/audit`: audits a recipe's text and keeps nothing. */
export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, Body, MOST_BYTES);
  if (body instanceof Response) return body;
  if (!protocolById(body.protocol))
    return refuse(400, 'unknown-protocol', `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`, 'protocol');
  const task = { kind: 'audit', ...body } as const;
  // a recipe of the usual length is audited faster than it goes to a thread and back
  const result = body.text.length > LONG ? await inThread(task, request.signal) : await workHere(task);
  if (result instanceof Response) return result;
  if (!result.ok) return refuse(result.code === 'too-large' ? 413 : 400, result.code, result.message, 'text');
  return Response.json(result.audit);
}
