import type { z } from 'zod';

/** An error as the contract shapes it. */
export const refuse = (status: number, code: string, message: string, path: string | null = null): Response =>
  Response.json({ error: { code, message, path } }, { status });

/**
 * A request's body, read and checked; or the answer that refuses it: 413 beyond the size, 400 for what is no JSON or
 * not of the shape.
 *
 * @param mostBytes of the recipe's text; JSON may write one byte of it as six
 */
export async function readBody<T>(
  request: Request,
  schema: z.ZodType<T>,
  mostBytes: number,
): Promise<T | Response> {
  const tooLarge = () => refuse(413, 'too-large', 'The request is larger than any recipe.');
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes * 6) return tooLarge();
  const raw = await request.text();
  if (raw.length > mostBytes * 6) return tooLarge();
  let value: unknown;
  try {
    value = JSON.parse(raw);
  } catch {
    return refuse(400, 'not-json', 'The request body is not JSON.');
  }
  const body = schema.safeParse(value);
  if (body.success) return body.data;
  const [issue] = body.error.issues;
  return refuse(
    400,
    'bad-input',
    issue?.message ?? 'The request is not as it should be.',
    issue?.path.map(String).join('.') || null,
  );
}
