import { z } from 'zod';
import { auditText } from '@/core/audit/text';
import { MOST_BYTES } from '@/core/format/text';
import { PROTOCOLS, protocolById, ROLES } from '@/core/protocol';
import { readBody, refuse } from '@/server/body';

const Body = z.object({
  text: z.string(),
  protocol: z.string(),
  servings: z.number().positive().max(1000).optional(),
  role: z.enum(ROLES).optional(),
  potG: z.number().positive().max(100_000).optional(),
  plateG: z.number().positive().max(100_000).optional(),
});

/** `POST /api/audit`: audits a recipe's text and keeps nothing. */
export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, Body, MOST_BYTES);
  if (body instanceof Response) return body;
  const protocol = protocolById(body.protocol);
  if (!protocol)
    return refuse(400, 'unknown-protocol', `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`, 'protocol');
  const result = auditText(body.text, protocol, {
    source: 'request',
    servings: body.servings,
    role: body.role,
    potG: body.potG,
    plateG: body.plateG,
  });
  if (!result.ok) return refuse(result.code === 'too-large' ? 413 : 400, result.code, result.message, 'text');
  return Response.json(result.audit);
}
