import { SWITCHES, type ProtocolSource } from '@/core/protocol';
import { resolveProtocol } from '@/core/protocol/resolve';
import { PROTOCOL_SCHEMA, ProtocolExport } from '@/core/protocol/schema';
import type { DulvetDatabase, StoredProtocol } from './db';
import { newId } from './ids';

/** Protocols of the cook's own, by name. */
export const listProtocols = async (db: DulvetDatabase): Promise<StoredProtocol[]> =>
  (await db.protocols.toArray()).sort((a, b) => a.source.name.localeCompare(b.source.name));

export const saveProtocol = (db: DulvetDatabase, source: ProtocolSource, now: number): Promise<string> =>
  db.protocols.put({ id: source.id, source, updatedAt: now });

/**
 * Changes some of a protocol's fields, where the whole then holds together; one that is not kept yet is kept whole.
 * False where it would not hold: nothing is written then.
 */
export const changeProtocol = (
  db: DulvetDatabase,
  source: ProtocolSource,
  patch: Partial<ProtocolSource>,
  now: number,
): Promise<boolean> =>
  db.transaction('rw', db.protocols, async () => {
    const kept = await db.protocols.get(source.id);
    const next = { ...(kept?.source ?? source), ...patch };
    if (!resolveProtocol(next, SWITCHES).ok) return false;
    await db.protocols.put({ id: source.id, source: next, updatedAt: now });
    return true;
  });

export const removeProtocol = (db: DulvetDatabase, id: string): Promise<void> => db.protocols.delete(id);

/** A copy of a protocol that the cook may change. */
export const copyOf = (source: ProtocolSource): ProtocolSource => ({
  ...source,
  id: `own-${newId()}`,
  name: `${source.name}, mine`.slice(0, 60),
  based: source.based ?? source.id,
});

/** A protocol's file: open JSON, read back by `readProtocol`. */
export const protocolFile = (source: ProtocolSource): string =>
  `${JSON.stringify({ schema: PROTOCOL_SCHEMA, protocol: source }, null, 2)}\n`;

export type ProtocolReading =
  { readonly ok: true; readonly source: ProtocolSource } | { readonly ok: false; readonly message: string };

/** Reads a protocol's file; one that is not well made or cannot hold is refused with the place and the reason. */
export function readProtocol(text: string): ProtocolReading {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, message: 'This is not a JSON file.' };
  }
  const parsed = ProtocolExport.safeParse(value);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    const where = issue?.path.map(String).join(' ') || 'the file';
    return { ok: false, message: `${where}: ${issue?.message ?? 'is not as it should be'}` };
  }
  const resolved = resolveProtocol(parsed.data.protocol, SWITCHES);
  return resolved.ok
    ? { ok: true, source: parsed.data.protocol }
    : { ok: false, message: `protocol ${resolved.path}: ${resolved.message}` };
}
