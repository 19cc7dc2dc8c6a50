import { createInterface } from 'node:readline';
import { z } from 'zod';
import { protocolById, ROLES } from '../src/core/protocol';
import { MOST_SERVINGS } from '../src/core/recipe/limits';
import { work, type Task } from '../src/server/work';
import { startThreads, type Threads } from './threads';

const Line = z.object({
  text: z.string(),
  protocol: z.string().default('heart-strict'),
  servings: z.number().positive().max(MOST_SERVINGS).optional(),
  role: z.enum(ROLES).optional(),
});

type Answer = { readonly json: string; readonly code: 0 | 1 | 2 };

const refused = (line: number, code: string, message: string): Answer => ({
  json: JSON.stringify({ error: { code, message, path: `line ${line}` } }),
  code: 2,
});

async function answer(row: string, at: number, run: (task: Task) => Promise<unknown>): Promise<Answer> {
  let value: unknown;
  try {
    value = JSON.parse(row);
  } catch (error) {
    return refused(at, 'not-json', (error as Error).message);
  }
  const parsed = Line.safeParse(value);
  if (!parsed.success) return refused(at, 'bad-line', z.prettifyError(parsed.error).replace(/\n\s*/g, ' '));
  const { protocol } = parsed.data;
  if (!protocolById(protocol)) return refused(at, 'no-protocol', `there is no protocol "${protocol}"`);
  const result = (await run({ kind: 'audit', ...parsed.data })) as Awaited<ReturnType<typeof work>>;
  if (!result.ok) return refused(at, 'code' in result ? String(result.code) : 'unread', result.message);
  if (!('audit' in result)) return refused(at, 'unread', 'this is no audit');
  const held = result.audit.recipes.every((r) => r.verdict === 'within' || r.verdict === 'near');
  return { json: JSON.stringify(result.audit), code: held ? 0 : 1 };
}

/** Lines that are done sooner than threads are started. */
const FEW = 40;

/**
 * Audits one recipe a line of standard input, one audit a line out, in order and at constant memory; in threads as soon
 * as there are more lines than one would do while they start. 0 all within, 1 some not, 2 some not read.
 */
export async function auditLines(): Promise<number> {
  let pool: Threads | null = null;
  const run = (task: Task) => (pool ? pool.run(task) : work(task));
  const waiting: Promise<Answer>[] = [];
  let code = 0;
  const write = async () => {
    const next = await waiting.shift();
    if (!next) return;
    code = Math.max(code, next.code);
    // a reader that is slower than the audits is waited for
    if (!process.stdout.write(`${next.json}\n`)) await new Promise((go) => process.stdout.once('drain', go));
  };
  let at = 0;
  for await (const row of createInterface({ input: process.stdin, crlfDelay: Infinity })) {
    at += 1;
    if (!row.trim()) continue;
    if (at === FEW) pool = await startThreads();
    waiting.push(answer(row, at, run));
    if (waiting.length >= (pool ? pool.threads * 2 : 1)) await write();
  }
  while (waiting.length > 0) await write();
  await pool?.close();
  return code;
}
