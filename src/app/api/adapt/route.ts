import { z } from 'zod';
import { MOST_BYTES } from '@/core/format/text';
import { readAllergens } from '@/core/allergen/allergen';
import { US_MEASURES } from '@/core/measure/units';
import { PROTOCOLS, protocolById, ROLES, type Protocol } from '@/core/protocol';
import { adaptText } from '@/server/adapt-text';
import { readBody, refuse } from '@/server/body';

const Body = z.object({
  text: z.string(),
  protocol: z.string(),
  servings: z.number().positive().max(1000).optional(),
  role: z.enum(ROLES).optional(),
  alternatives: z.number().int().min(0).max(20).optional(),
  allergens: z.array(z.string()).max(40).optional(),
  /** Words of lines that must stay. */
  keep: z.array(z.string()).max(200).optional(),
  /** Words of lines that must not stay. */
  change: z.array(z.string()).max(200).optional(),
  /** Others at the table. */
  also: z
    .array(
      z.object({
        protocol: z.string(),
        allergens: z.array(z.string()).max(40).optional(),
        plate: z.number().min(0.25).max(3).optional(),
      }),
    )
    .max(40)
    .optional(),
});

/** `POST /api/adapt`: the least change after which a recipe's text is within a protocol; keeps nothing. */
export async function POST(request: Request): Promise<Response> {
  const body = await readBody(request, Body, MOST_BYTES);
  if (body instanceof Response) return body;
  const protocol = protocolById(body.protocol);
  if (!protocol)
    return refuse(400, 'unknown-protocol', `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`, 'protocol');
  const also = (body.also ?? []).map((d) => ({ ...d, protocol: protocolById(d.protocol) }));
  const unknown = also.findIndex((d) => !d.protocol);
  if (unknown >= 0)
    return refuse(
      400,
      'unknown-protocol',
      `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`,
      `also.${unknown}.protocol`,
    );
  const mustNot = [body.allergens ?? [], ...also.map((d) => d.allergens ?? [])].map(readAllergens);
  for (const [i, reading] of mustNot.entries())
    if (!reading.ok)
      return refuse(
        400,
        'unknown-allergen',
        `${reading.message}.`,
        i === 0 ? `allergens.${reading.at}` : `also.${i - 1}.allergens.${reading.at}`,
      );
  const allergens = mustNot.map((r) => (r.ok ? r.ids : []));
  const result = await adaptText(
    body.text,
    [
      { protocol, allergens: allergens[0] ?? [] },
      ...also.map(({ plate, protocol: theirs }, i) => ({
        ...(plate === undefined ? {} : { plate }),
        protocol: theirs as Protocol,
        allergens: allergens[i + 1] ?? [],
      })),
    ],
    { measures: US_MEASURES, corrections: {}, servings: body.servings },
    {
      role: body.role,
      source: 'request',
      alternatives: body.alternatives ?? 2,
      locked: body.keep ?? [],
      forced: body.change ?? [],
    },
  );
  if (!result.ok)
    return refuse(
      result.code === 'too-large' ? 413 : 400,
      result.code,
      result.message,
      result.path ?? 'text',
    );
  return Response.json(result.adaptation);
}
