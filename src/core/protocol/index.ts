import raw from '@content/compiled/protocols.json';
import { resolveProtocol } from './resolve';
import type { Protocol, ProtocolFile, ProtocolSource, RoleId, Switch } from './schema';

export { ROLES } from './schema';
export type { Limit, Protocol, ProtocolSource, RoleId, Switch } from './schema';

// checked by Zod when content is compiled
const file = raw as unknown as ProtocolFile;

/** Questions on which the schools differ, by id. */
export const SWITCHES: Readonly<Record<string, Switch>> = file.switches;

/** A protocol with its switches settled; null for one that cannot hold. */
export function settled(source: ProtocolSource): Protocol | null {
  const resolved = resolveProtocol(source, SWITCHES);
  return resolved.ok ? resolved.protocol : null;
}

/** The shipped protocols, in the order they are offered. */
export const PROTOCOLS: readonly Protocol[] = file.protocols.flatMap((p) => settled(p) ?? []);

/** The shipped protocol of an id, if there is one. */
export const protocolById = (id: string): Protocol | undefined => PROTOCOLS.find((p) => p.id === id);

/** Share of the day that a dish of a role may use (0–1). */
export const shareOf = (role: RoleId): number => file.roles[role].share;

/** What a cook calls a role: "a main". */
export const roleLabel = (role: RoleId): string => file.roles[role].label;

/**
 * The role that a dish's title says it has, `main` where it says none. Every other role has a smaller
 * share of the day, so a wrong guess is stricter, never laxer.
 */
export function roleFromTitle(title: string): RoleId {
  // what comes last names the dish: "bread with walnut sauce" is no sauce, "walnut sauce" is one
  const head =
    title
      .toLowerCase()
      .split(/\b(?:with|in|on|and|over|&)\b|[,(:]/)[0]
      ?.trim() ?? '';
  for (const [role, { words }] of Object.entries(file.roles))
    if (words.some((word) => head.endsWith(word) || (role === 'breakfast' && head.includes(word))))
      return role as RoleId;
  return 'main';
}
