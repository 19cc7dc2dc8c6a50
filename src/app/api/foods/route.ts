import { foodRows } from '@/core/food/list';

/** `GET /api/foods?q=…`: foods that words may mean, each with a confidence. */
export function GET(request: Request): Response {
  const query = new URL(request.url).searchParams.get('q')?.trim() ?? '';
  if (!query || query.length > 200)
    return Response.json(
      { error: { code: 'bad-input', message: 'Say what to look for, in up to 200 characters.', path: 'q' } },
      { status: 400 },
    );
  return Response.json(foodRows(query));
}
