import { readFileSync } from 'node:fs';
import path from 'node:path';
import { protocolById, type Protocol } from '@/core/protocol';
import { auditText } from './text';

/*
 * Some six hundred ways to write one plate: what each offends against, or that it offends against nothing, was set down
 * by hand before the reading was written. What offends must never be "within"; what does not must be.
 */
interface Case {
  readonly name: string;
  readonly kind: string;
  readonly protocols: readonly string[];
  readonly text: string;
}
const cases = JSON.parse(readFileSync(path.join(__dirname, 'cases', 'method-cases.json'), 'utf8')) as Case[];

/** Where Dulvet is stricter than the list: plain rice vinegar is also sold seasoned; a saltless stock cube holds oil. */
const STRICTER = new Set(['ING 2 tsp rice vinegar', 'ING 1 tsp no-salt vegetable bouillon']);

const passes = ({ text, protocols }: Case) =>
  protocols.filter((id) => {
    const read = auditText(text, protocolById(id) as Protocol);
    return read.ok && read.audit.recipes.every((r) => r.verdict === 'within' || r.verdict === 'near');
  });

describe('one plate in six hundred ways', () => {
  test('what offends is never within', () => {
    const missed = cases.flatMap((c) =>
      c.kind === 'ok' ? [] : passes(c).map((id) => `${c.kind}, ${id}: ${c.name}`),
    );
    expect(missed).toEqual([]);
  });
  test('what does not offend is within', () => {
    const alarms = cases.flatMap((c) =>
      c.kind === 'ok' && passes(c).length < c.protocols.length ? [c.name] : [],
    );
    expect(alarms.filter((name) => !STRICTER.has(name))).toEqual([]);
  });
  test('the cases are there', () => expect(cases.length).toBeGreaterThan(600));
});
