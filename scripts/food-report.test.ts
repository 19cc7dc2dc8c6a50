import { readFileSync } from 'node:fs';
import path from 'node:path';
import { differences, report } from './food-report';

describe('the composition table against IFCT 2017', () => {
  test('what differs by more than is tolerated is explained', () => {
    expect(
      differences()
        .filter((d) => d.size > 1 && !d.because)
        .map((d) => `${d.food} ${d.figure}`),
    ).toEqual([]);
  });
  test('nine figures of ten agree', () => {
    const all = differences();
    expect(all.length).toBeGreaterThan(300);
    expect(all.filter((d) => d.size <= 1).length / all.length).toBeGreaterThan(0.9);
  });
  test('the page in docs is what the data says', () => {
    expect(readFileSync(path.resolve('docs/food-report.md'), 'utf8')).toBe(report());
  });
});
