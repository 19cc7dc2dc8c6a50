/**
 * Writes `docs/swap-report.md`: how many swaps each family of food has, which the protocols would refuse, and the
 * families and roles that are left without one under some protocol. `npm run report`.
 */
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { PROTOCOLS } from '../src/core/protocol';
import { coverage, isRefused } from '../src/core/swap/coverage';
import { SWAPS } from '../src/core/swap/roles';

/** The page, as the data stands. */
export function swapReport(): string {
  const { families, gaps } = coverage(PROTOCOLS);
  const row = (cells: readonly (string | number)[]) => `| ${cells.join(' | ')} |`;
  const refused = PROTOCOLS.map((p) => [p, SWAPS.filter((s) => isRefused(s, p)).length] as const);
  const byFamily = new Map<string, typeof gaps>();
  for (const gap of gaps) byFamily.set(gap.kind, [...(byFamily.get(gap.kind) ?? []), gap]);
  return `# Swaps: what they cover, and what they leave

Written by \`npm run report\`; a test holds it to the data. How to add a swap: [swaps](knowledge/swaps.md).

${SWAPS.length} swaps. A protocol would refuse what breaks one of its bans; less of the same food is refused where the
food is.

| Protocol | Swaps that it would refuse |
| --- | --- |
${refused.map(([p, n]) => row([p.name, n])).join('\n')}

## By family

| Family | Foods that some protocol bans | Swaps | Roles |
| --- | --- | --- | --- |
${families.map((f) => row([f.kindLabel, f.banned, f.swaps, f.roles.join(', ') || 'any'])).join('\n')}

## Left without a swap

A family in a role, a protocol that bans a food of it, and no swap for that food in that role which the protocol
would allow. The dish can still lose the line, or a weighed label may say better.

${
  gaps.length === 0
    ? 'None.'
    : [
        '| Family | Role | Protocols | Foods |',
        '| --- | --- | --- | --- |',
        ...[...byFamily.values()].flatMap((own) =>
          [...new Set(own.map((g) => g.role))].map((role) => {
            const those = own.filter((g) => g.role === role);
            return row([
              those[0]?.kindLabel ?? '',
              role,
              [...new Set(those.map((g) => g.protocol))].join(', '),
              [...new Set(those.map((g) => g.food))].join(', '),
            ]);
          }),
        ),
      ].join('\n')
}
`;
}

if (require.main === module) writeFileSync(path.resolve(__dirname, '../docs/swap-report.md'), swapReport());
