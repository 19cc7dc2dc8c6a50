import { z } from 'zod';
import { MOST_BYTES } from '@/core/format/text';
import { readAllergens } from '@/core/allergen/allergen';
import { PROTOCOLS, protocolById, ROLES } from '@/core/protocol';
import { MOST_SERVINGS } from '@/core/recipe/limits';
import { readBody, refuse } from '@/server/body';
import { inThread } from '@/server/pool';

const Body = z.object({
  text: z.string(),
  protocol: z.string(),
  servings: z.number().positive().max(MOST_SERVINGS).optional(),
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
  const known = (id: string) => protocolById(id) !== undefined;
  const people = [{ protocol: body.protocol, allergens: body.allergens }, ...(body.also ?? [])];
  const unknown = people.findIndex((d) => !known(d.protocol));
  if (unknown >= 0)
    return refuse(
      400,
      'unknown-protocol',
      `There are ${PROTOCOLS.map((p) => p.id).join(', ')}.`,
      unknown === 0 ? 'protocol' : `also.${unknown - 1}.protocol`,
    );
  const mustNot = people.map((d) => readAllergens(d.allergens ?? []));
  for (const [i, reading] of mustNot.entries())
    if (!reading.ok)
      return refuse(
        400,
        'unknown-allergen',
        `${reading.message}.`,
        i === 0 ? `allergens.${reading.at}` : `also.${i - 1}.allergens.${reading.at}`,
      );
  const result = await inThread(
    {
      kind: 'adapt',
      text: body.text,
      diners: people.map((d, i) => {
        const reading = mustNot[i];
        return {
          protocol: d.protocol,
          allergens: reading?.ok ? reading.ids : [],
          plate: 'plate' in d ? d.plate : undefined,
        };
      }),
      servings: body.servings,
      role: body.role,
      alternatives: body.alternatives ?? 2,
      locked: body.keep ?? [],
      forced: body.change ?? [],
    },
    request.signal,
  );
  if (result instanceof Response) return result;
  if (!result.ok)
    return refuse(
      result.code === 'too-large' ? 413 : 400,
      result.code,
      result.message,
      result.path ?? 'text',
    );
  return Response.json(result.adaptation);
}
