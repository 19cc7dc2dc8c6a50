import raw from '@content/compiled/protocols.json';
import { resolveProtocol } from './resolve';
import {
  ROLES,
  type Protocol,
  type ProtocolFile,
  type ProtocolSource,
  type RoleId,
  type Switch,
} from './schema';

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

/** The role that a dish's title says it has; null where it says none. */
export function roleFromTitle(title: string): RoleId | null {
  const [first = '', ...behind] = title.toLowerCase().split(/\s*:\s+/);
  const own = roleOfHead(first);
  // "Wednesday: lentil soup"
  return own ?? (behind[0] === undefined ? null : roleOfHead(behind[0]));
}

/** "sauce for pasta" is a sauce, but "pie for supper" is one for supper. */
const NAME_ENDS =
  /\b(?:with|without|minus|from|in|on|and|over|&|for (?!(?:the )?(?:supper|dinner|lunch|tea|breakfast|brunch|main)))\b|[,(]|\s[-–—|/]\s/;

function roleOfHead(title: string): RoleId | null {
  // what comes last names the dish: "bread with walnut sauce" is no sauce, "walnut sauce" is one
  const head = title.split(NAME_ENDS)[0]?.trim() ?? '';
  let found: RoleId | null = null;
  let longest = 0;
  // the longest words say most: a smoothie bowl is no bowl
  for (const role of ROLES)
    for (const word of file.roles[role].words)
      if (word.length > longest && (ends(head, word) || (role === 'breakfast' && head.includes(word)))) {
        found = role;
        longest = word.length;
      }
  return found;
}

/** True where a name ends with words, not with a part of one: "cupcake" is no "cake". */
const ends = (head: string, words: string): boolean => head === words || head.endsWith(` ${words}`);
