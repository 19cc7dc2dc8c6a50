import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import Papa from 'papaparse';
import YAML from 'yaml';
import { z } from 'zod';

export const root = path.resolve(__dirname, '../content');
export const out = path.join(root, 'compiled');

/** Stops, and says where the mistake is. */
export function fail(where: string, why: string): never {
  process.stderr.write(`content: ${where}: ${why}\n`);
  process.exit(1);
}

/** A YAML file of `content/`, checked. */
export function yaml<T>(file: string, schema: z.ZodType<T>): T {
  const parsed = schema.safeParse(YAML.parse(readFileSync(path.join(root, file), 'utf8')));
  if (!parsed.success) fail(file, z.prettifyError(parsed.error));
  return parsed.data;
}

export type Row = Record<string, string>;
/** A CSV file of `content/`, a record each row. */
export function csv(file: string): Row[] {
  const result = Papa.parse<Row>(readFileSync(path.join(root, file), 'utf8'), {
    header: true,
    skipEmptyLines: true,
  });
  const [error] = result.errors;
  if (error) fail(`${file}, row ${(error.row ?? 0) + 2}`, error.message);
  return result.data;
}

/** Writes a compiled file. */
export function write(name: string, value: unknown) {
  writeFileSync(path.join(out, `${name}.json`), JSON.stringify(value));
}
