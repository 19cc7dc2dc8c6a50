import type { z } from 'zod';

/** An error as the contract shapes it. */
export const refuse = (status: number, code: string, message: string, path: string | null = null): Response =>
  Response.json({ error: { code, message, path } }, { status });

/** Words of a body, cut off where they pass a size while they arrive; null where they did. */
async function wordsOf(request: Request, most: number): Promise<string | null> {
  if (Number(request.headers.get('content-length') ?? 0) > most) return null;
  if (!request.body) return '';
  const reader = request.body.getReader();
  const chunks: Uint8Array[] = [];
  let size = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    size += value.byteLength;
    if (size > most) {
      await reader.cancel();
      return null;
    }
    chunks.push(value);
  }
  const bytes = new Uint8Array(size);
  let at = 0;
  for (const chunk of chunks) {
    bytes.set(chunk, at);
    at += chunk.byteLength;
  }
  return new TextDecoder().decode(bytes);
}

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
  const raw = await wordsOf(request, mostBytes * 6);
  if (raw === null) return refuse(413, 'too-large', 'The request is larger than any recipe.');
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
