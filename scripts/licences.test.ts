import { readFileSync } from 'node:fs';
import path from 'node:path';
import { licences, shipped } from './licences';

/** Licences (SPDX) under which anything may be shipped beside MIT, with their notices kept. */
const FREE =
  /^\(?(?:MIT|MIT-0|ISC|0BSD|BSD-2-Clause|BSD-3-Clause|Apache-2\.0|OFL-1\.1|Unlicense|CC0-1\.0|CC-BY-4\.0|BlueOak-1\.0\.0|Python-2\.0|MPL-2\.0)(?: (?:OR|AND) [\w.-]+)*\)?$/;

test('everything that ships says its licence, and it is a free one', () => {
  expect(shipped().length).toBeGreaterThan(40);
  expect(shipped().filter((r) => !FREE.test(r.licence))).toEqual([]);
});
test('the page in docs is what the lock file says', () => {
  expect(readFileSync(path.resolve('docs/licences.md'), 'utf8')).toBe(licences());
});
