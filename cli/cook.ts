import { cook, dishesOf, holds, USUAL_KITCHEN, USUAL_TABLE, type Dish } from '../src/core/cook/cook';
import { minutesOfDay } from '../src/core/cook/clock';
import { CookSchema, type Cook, type CookTask } from '../src/core/cook/schema';
import { tasting } from '../src/core/cook/taste';
import { TastingSchema } from '../src/core/cook/taste-schema';
import { showRange } from '../src/core/format/figures';
import { isServings } from '../src/core/recipe/limits';
import { complain, groundOf, protocolOf, textsOf, UNIT_MESSAGES, USAGE, type Flags } from './inputs';
import { auditTable } from './table';

const MARK: Record<CookTask['attention'], string> = { hands: '█', eye: '▒', none: '░' };

/** A supper in a terminal: what to set out, then what to do when. */
export function cookTable(c: Cook): string {
  const rows = [
    `${c.dishes.map((d) => d.title).join(' + ')}: on the table at ${c.table}, begin at ${c.startAt} (${c.minutes} min, ${c.handsOnMinutes} of them by hand${c.optimal ? '' : `; ${c.lowerBoundMinutes} may be possible`})`,
  ];
  for (const t of c.tasks) {
    const who = t.cook === null ? '' : ` [cook ${t.cook + 1}]`;
    const uses = t.uses
      .map((u) => (u === 'oven' && t.celsius !== null ? `oven ${t.celsius} °C` : u))
      .join(', ');
    rows.push(
      `  ${t.day < 0 ? 'the day before ' : ''}${t.start}–${t.end} ${MARK[t.attention]} ${t.text}${uses ? ` (${uses})` : ''}${who}${c.dishes.length > 1 ? `  · ${c.dishes[t.dish]?.title ?? ''}` : ''}`,
    );
  }
  for (const d of c.dishes) rows.push(...d.scaling.map((s) => `  ${d.title} × ${d.times}: ${s}`));
  rows.push(...c.conflicts.map((s) => `  ! ${s}`), ...c.cautions.map((s) => `  Take care: ${s.text}`));
  return `${rows.join('\n')}\n`;
}

/** A whole number that a flag says; what is wrong with it where it is none. */
function count(flags: Flags, name: 'cooks' | 'burners' | 'ovens', most: number): number | string {
  const said = flags[name];
  if (said === undefined) return USUAL_KITCHEN[name];
  const n = Number(said);
  return Number.isInteger(n) && n >= 0 && n <= most
    ? n
    : `cook: --${name} is a whole number from 0 to ${most}`;
}

/** Plans a supper; 0 where all is on the table in time, 1 where it cannot be, 2 where a file could not be read. */
export function cookFiles(files: readonly string[], flags: Flags): number {
  if (files.length === 0) return complain(`cook: no file is named\n${USAGE}`);
  const ground = groundOf('cook', flags);
  if (typeof ground === 'string') return complain(ground);
  const [cooks, burners, ovens] = [
    count(flags, 'cooks', 6),
    count(flags, 'burners', 12),
    count(flags, 'ovens', 4),
  ];
  for (const wrong of [cooks, burners, ovens]) if (typeof wrong === 'string') return complain(wrong);
  const times = flags.times === undefined ? 1 : Number(flags.times);
  if (!(times > 0 && times <= 100)) return complain('cook: --times is a number above 0, at most 100');
  const table = typeof flags.at === 'string' ? flags.at : USUAL_TABLE;
  const from = typeof flags.from === 'string' ? flags.from : null;
  for (const [name, clock] of [
    ['at', table],
    ['from', from],
  ] as const)
    if (clock !== null && minutesOfDay(clock) === null)
      return complain(`cook: --${name} is a time like 18:30`);
  const { texts, unread } = textsOf(files);
  let refused = unread;
  const dishes: Dish[] = [];
  for (const { file, text } of texts) {
    const read = dishesOf(text, file, { ...ground, corrections: {} }, times);
    if (read.ok) dishes.push(...read.dishes);
    else {
      complain(`${file}, line 1: ${read.message}`);
      refused += 1;
    }
  }
  if (dishes.length === 0) return 2;
  const supper = {
    kitchen: { cooks: cooks as number, burners: burners as number, ovens: ovens as number },
    table,
    from,
  };
  const planned = cook(dishes, supper);
  process.stdout.write(
    flags.json ? `${JSON.stringify(CookSchema.parse(planned), null, 2)}\n` : cookTable(planned),
  );
  if (refused > 0) return 2;
  return holds(planned, supper) ? 0 : 1;
}

/** Judges what was added at the stove; 0 where it is still within, 1 where not or not surely, 2 where it cannot be read. */
export function tasteFile(files: readonly string[], flags: Flags): number {
  const [file] = files;
  if (!file || files.length > 1) return complain(`taste: name one file\n${USAGE}`);
  const protocol = protocolOf(typeof flags.protocol === 'string' ? flags.protocol : 'heart-strict');
  if (typeof protocol === 'string') return complain(`taste: ${protocol}`);
  const ground = groundOf('taste', flags);
  if (typeof ground === 'string') return complain(ground);
  const servings = flags.servings === undefined ? undefined : Number(flags.servings);
  if (servings !== undefined && !isServings(servings))
    return complain(`taste: --servings ${String(flags.servings)}: ${UNIT_MESSAGES.servings}`);
  const added = Array.isArray(flags.add) ? flags.add : [];
  if (added.length === 0) return complain('taste: say what is added: --add "2 tsp tamari"');
  const { texts } = textsOf([file]);
  const [text] = texts;
  if (!text) return 2;
  const settings = { ...ground, corrections: {}, servings };
  const read = dishesOf(text.text, file, settings, 1);
  if (!read.ok) return complain(`${file}, line 1: ${read.message}`);
  const dish = read.dishes[0] as Dish;
  const t = tasting(dish.read, protocol, settings, added, file);
  if (flags.json) process.stdout.write(`${JSON.stringify(TastingSchema.parse(t), null, 2)}\n`);
  else {
    for (const a of t.additions)
      process.stdout.write(
        `+ ${a.text}: ${a.food ? `${a.food.name}, ${a.grams ? `${showRange(a.grams)} g` : 'how much is not known'}` : 'not understood'}\n`,
      );
    process.stdout.write(auditTable(t.after, protocol));
    const room = t.room.filter((r) => r.grams !== null);
    process.stdout.write(
      `  room left: ${room.map((r) => `${r.words ?? 'no'} ${r.food.name.toLowerCase()}`).join(', ') || 'not known'}\n`,
    );
  }
  return t.after.verdict === 'within' || t.after.verdict === 'near' ? 0 : 1;
}
