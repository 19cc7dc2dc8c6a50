import { Limit, type Patch, type Protocol, type ProtocolSource, type Switch } from './schema';

/** A protocol settled, or why it cannot be. */
export type Resolved =
  | { readonly ok: true; readonly protocol: Protocol }
  | { readonly ok: false; readonly message: string; readonly path: string };

const refuse = (message: string, path: string): Resolved => ({ ok: false, message, path });

/** Limits after one option's patch: fields changed, limits taken away, new ones at the end. */
function patched(limits: readonly unknown[], patch: Patch): unknown[] {
  const rest = new Map(Object.entries(patch));
  const kept = limits.flatMap((limit) => {
    const { id } = limit as { id: string };
    const change = rest.get(id);
    rest.delete(id);
    if (change === null) return [];
    return [change ? { ...(limit as object), ...change, minus: merged(limit as Limit, change) } : limit];
  });
  // a patch of a limit that is not there is a whole limit, or is about nothing
  return [...kept, ...[...rest.values()].filter((l) => l?.label !== undefined && l.of !== undefined)];
}

/** Two switches may each leave a part out: both hold. */
function merged(limit: Limit, change: NonNullable<Patch[string]>): Limit['minus'] {
  const minus = { ...limit.minus, ...change.minus };
  return Object.keys(minus).length > 0 ? minus : undefined;
}

const without = (value: object) =>
  Object.fromEntries(Object.entries(value).filter(([, v]) => v !== undefined));

/** What in a set of limits cannot all hold. */
function contradiction(limits: readonly Limit[]): { message: string; path: string } | null {
  const seen = new Set<string>();
  for (const [i, limit] of limits.entries()) {
    if (seen.has(limit.id))
      return { message: `the limit "${limit.id}" stands twice`, path: `limits.${i}.id` };
    seen.add(limit.id);
  }
  for (const [i, least] of limits.entries()) {
    if (least.bound !== 'least') continue;
    const most = limits.find(
      (l) => l.bound === 'most' && l.of === least.of && l.per === least.per && l.limit < least.limit,
    );
    if (most)
      return {
        message: `${least.label}: at least ${least.limit} and at most ${most.limit} ${least.unit} cannot both hold`,
        path: `limits.${i}.limit`,
      };
  }
  const shares = limits.filter((l) => l.bound === 'least' && l.per === 'energy');
  const sum = shares.reduce((s, l) => s + l.limit, 0);
  if (sum > 100)
    return {
      message: `shares of energy that are at least ${sum} % together leave nothing (${shares.map((l) => l.label).join(', ')})`,
      path: 'limits',
    };
  // the three that bring energy: what two of them may be at most, the third must reach
  const most = (of: string) =>
    limits.find((l) => l.bound === 'most' && l.per === 'energy' && l.of === of)?.limit;
  const [fat, carbohydrate, protein] = [most('fatKcal'), most('carbohydrateKcal'), most('proteinKcal')];
  if (
    fat !== undefined &&
    carbohydrate !== undefined &&
    protein !== undefined &&
    fat + carbohydrate + protein < 100
  )
    return {
      message: `fat, carbohydrate and protein of at most ${fat + carbohydrate + protein} % together cannot make 100 %`,
      path: 'limits',
    };
  return null;
}

/**
 * Settles a protocol's switches into its limits and checks that all of them can hold together.
 *
 * @param switches the questions on which schools differ, by id
 */
export function resolveProtocol(
  source: ProtocolSource,
  switches: Readonly<Record<string, Switch>>,
): Resolved {
  let limits: unknown[] = [...source.limits];
  for (const [id, position] of Object.entries(source.switches)) {
    const question = Object.hasOwn(switches, id) ? switches[id] : undefined;
    if (!question) return refuse(`there is no switch "${id}"`, `switches.${id}`);
    const option = question.options.find((o) => o.id === position);
    if (!option) return refuse(`${question.label}: there is no "${position}"`, `switches.${id}`);
    limits = patched(limits, option.patch);
  }
  const settled: Limit[] = [];
  for (const [i, raw] of limits.entries()) {
    const parsed = Limit.safeParse(without(raw as object));
    if (!parsed.success) {
      const [issue] = parsed.error.issues;
      return refuse(
        issue?.message ?? 'a limit is not as it should be',
        ['limits', i, ...(issue?.path ?? [])].map(String).join('.'),
      );
    }
    settled.push(parsed.data);
  }
  if (settled.length === 0) return refuse('no limit is left', 'limits');
  const wrong = contradiction(settled);
  if (wrong) return refuse(wrong.message, wrong.path);
  const { id, name, says } = source;
  return { ok: true, protocol: { id, name, says, limits: settled, source } };
}
