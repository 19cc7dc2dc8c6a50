import { z } from 'zod';
import { auditText } from '@/core/audit/text';
import { MOST_BYTES } from '@/core/format/text';
import { PROTOCOLS, protocolById, ROLES } from '@/core/protocol';

const Body = z.object({
  text: z.string(),
  protocol: z.string(),
  servings: z.number().positive().max(1000).optional(),
  role: z.enum(ROLES).optional(),
  potG: z.number().positive().max(100_000).optional(),
  plateG: z.number().positive().max(100_000).optional(),
});

const refuse = (status: number, code: string, message: string, path: string | null = null) =>
  Response.json({ error: { code, message, path } }, { status });

/** `POST /api/audit`: audits a recipe's text and keeps nothing. */
export async function POST(request: Request): Promise<Response> {
  const said = Number(request.headers.get('content-length') ?? 0);
  // JSON may write one byte of text as six
  if (said > MOST_BYTES * 6) return refuse(413, 'too-large', 'The request is larger than any recipe.');
  const raw = await request.text();
  if (raw.length > MOST_BYTES * 6) return refuse(413, 'too-large', 'The request is larger than any recipe.');
  let value: unknown;
  try {
    value = JSON.parse(raw);
  } catch {
    return refuse(400, 'not-json', 'The request body is not JSON.');
  }
  const body = Body.safeParse(value);
  if (!body.success) {
    const [issue] = body.error.issues;
    return refuse(
      400,
      'bad-input',
      issue?.message ?? 'The request is not as it should be.',
      issue?.path.map(String).join('.') || null,
    );
  }
  const protocol = protocolById(body.data.protocol);
  if (!protocol)
    return refuse(400, 'unknown-protocol', `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`, 'protocol');
  const result = auditText(body.data.text, protocol, {
    source: 'request',
    servings: body.data.servings,
    role: body.data.role,
    potG: body.data.potG,
    plateG: body.data.plateG,
  });
  if (!result.ok) return refuse(result.code === 'too-large' ? 413 : 400, result.code, result.message, 'text');
  return Response.json(result.audit);
}
