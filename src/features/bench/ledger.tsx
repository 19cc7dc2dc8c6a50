'use client';
import { useLayoutEffect, useRef } from 'react';
import { showNumber } from '@/core/format/figures';
import type { RecipeAudit } from '@/core/audit/schema';
import { Glyph } from '@/ui/glyph';
import { Legend } from '@/ui/legend';
import { useOwnWords } from '@/ui/use-own-words';
import type { Cell, LedgerRow } from './model';
import type { LineEdit } from './use-line-edit';

interface LedgerProps {
  audit: RecipeAudit;
  rows: readonly LedgerRow[];
  selected: number | null;
  lit: number | null;
  /** Where each line starts in the text. */
  starts: readonly number[];
  edit: LineEdit | null;
  onSelect: (index: number) => void;
  onHover: (index: number | null) => void;
  onEdit: (index: number) => void;
  onText: (text: string) => void;
  onDone: (cancel: boolean) => void;
}

function Figure({ cell, className = '' }: { cell: Cell; className?: string }) {
  return (
    <td className={`num px-1.5 py-1.5 text-right whitespace-nowrap sm:px-2 ${className}`} title={cell.title}>
      <span className="flex items-center justify-end gap-1.5">
        <span className={cell.text === '·' ? 'text-mute' : ''}>{cell.text}</span>
        <span
          aria-hidden
          className="hidden h-[7px] w-[46px] overflow-hidden rounded-[2px] bg-wash forced-color-adjust-none lg:block"
        >
          <span
            className="block h-full"
            style={{ width: `${cell.size * 100}%`, background: cell.over ? 'var(--over)' : 'var(--within)' }}
          />
        </span>
      </span>
    </td>
  );
}

function EditWords({ words, onText, onDone }: { words: string } & Pick<LedgerProps, 'onText' | 'onDone'>) {
  const input = useRef<HTMLInputElement>(null);
  // a field that moves to another row has the focus before the next key comes
  useLayoutEffect(() => {
    input.current?.focus();
    input.current?.setSelectionRange(input.current.value.length, input.current.value.length);
  }, []);
  return (
    <input
      ref={input}
      aria-label="Words of this line"
      value={words}
      onChange={(e) => onText(e.target.value)}
      onBlur={() => onDone(false)}
      onKeyDown={(e) => {
        if (e.key === 'Enter' || e.key === 'Escape') {
          e.preventDefault();
          e.stopPropagation();
          onDone(e.key === 'Escape');
        }
      }}
      className="w-full rounded border-[1.5px] border-rim bg-sheet px-1.5 py-0.5"
    />
  );
}

function Words({ row }: { row: LedgerRow }) {
  return (
    <>
      {row.line.origin === 'method' && (
        <span className="mr-1 rounded border border-hair px-1 text-[12px] text-mute">method</span>
      )}
      <span className={row.mark === 'over' ? 'font-medium' : ''}>{row.line.text}</span>{' '}
      <span className="num text-[12.5px] text-mute">{row.reading}</span>
    </>
  );
}

function SectionRow({ children }: { children: string }) {
  return (
    <tr>
      <th
        scope="rowgroup"
        colSpan={6}
        className="px-3 pb-0.5 pt-2.5 text-left text-[12.5px] font-semibold text-mute"
      >
        {children}
      </th>
    </tr>
  );
}

function Figures({ row }: { row: LedgerRow }) {
  return (
    <>
      <Figure cell={row.fat} />
      <Figure cell={row.sodium} />
      <Figure cell={row.sugar} className="hidden md:table-cell" />
      <td className="num hidden px-2 py-1.5 text-right md:table-cell">{row.energy}</td>
    </>
  );
}

function EditRow({
  words,
  row,
  onText,
  onDone,
}: { words: string; row?: LedgerRow } & Pick<LedgerProps, 'onText' | 'onDone'>) {
  return (
    <tr
      data-line={row?.index}
      className="border-b border-hair/60 bg-pick"
      style={{ boxShadow: 'inset 4px 0 var(--rim)' }}
    >
      <td className="py-1.5 pl-3 align-middle">{row && <Glyph mark={row.mark} />}</td>
      <th scope="row" className="px-2 py-1.5 text-left font-normal">
        <EditWords words={words} onText={onText} onDone={onDone} />
      </th>
      {row ? <Figures row={row} /> : <td colSpan={4} />}
    </tr>
  );
}

type LineRowProps = { row: LedgerRow; on: boolean; lit: boolean } & Pick<
  LedgerProps,
  'onSelect' | 'onHover' | 'onEdit'
>;

function LineRow({ row, on, lit, onSelect, onHover, onEdit }: LineRowProps) {
  return (
    <tr
      data-line={row.index}
      aria-selected={on}
      onClick={() => onSelect(row.index)}
      onDoubleClick={() => row.line.origin === 'ingredients' && onEdit(row.index)}
      onMouseEnter={() => onHover(row.index)}
      onMouseLeave={() => onHover(null)}
      className={`cursor-pointer border-b border-hair/60 last:border-0 ${on ? 'bg-pick' : lit ? 'bg-wash' : ''}`}
      style={on ? { boxShadow: 'inset 4px 0 var(--rim)' } : undefined}
    >
      <td className="py-1.5 pl-3 align-middle">
        <Glyph mark={row.mark} />
      </td>
      <th scope="row" className="px-2 py-1.5 text-left font-normal [overflow-wrap:anywhere]">
        <button type="button" onClick={() => onSelect(row.index)} aria-pressed={on} className="text-left">
          <Words row={row} />
        </button>
      </th>
      <Figures row={row} />
    </tr>
  );
}

/** The cook's own lines, with what each brings; columns add up to the gauges. */
export function Ledger({
  audit,
  rows,
  selected,
  lit,
  starts,
  edit,
  onSelect,
  onHover,
  onEdit,
  onText,
  onDone,
}: LedgerProps) {
  // kept here, so that the letters outlive the row they are typed in
  const [words, type] = useOwnWords(edit?.draft ?? '', onText);
  const per = audit.perServing;
  const mine = rows.filter((r) => r.line.origin === 'ingredients');
  const found = edit !== null && mine.some((r) => starts[r.index] === edit.start);
  const firstAfter =
    edit === null
      ? -1
      : (rows.find((r) => r.line.origin === 'method' || (starts[r.index] ?? 0) > edit.start)?.index ?? -1);
  const total = (n: number | null | undefined) => (n === null || n === undefined ? '?' : showNumber(n));
  return (
    <section aria-label="Lines" className="sheet mt-3 overflow-hidden">
      <table className="w-full border-collapse">
        <thead>
          <tr className="border-b-[1.5px] border-hair text-[12px] text-mute">
            <th scope="col" className="w-8">
              <span className="sr-only">Verdict</span>
            </th>
            <th scope="col" className="py-1.5 text-left font-medium">
              As written
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              fat share<span className="hidden sm:inline">, points</span>
            </th>
            <th scope="col" className="px-2 text-right font-medium">
              sodium<span className="hidden sm:inline">, mg a serving</span>
            </th>
            <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
              free sugar, g
            </th>
            <th scope="col" className="hidden px-2 text-right font-medium md:table-cell">
              kcal
            </th>
          </tr>
        </thead>
        <tbody>
          {rows.flatMap((row) => {
            const start = starts[row.index] ?? 0;
            const edited = edit !== null && start === edit.start && row.line.origin === 'ingredients';
            // words that read as no line for a moment keep their field, before the line that follows
            const lost = row.index === firstAfter && !found;
            return [
              ...(lost && edit ? [<EditRow key="edit" words={words} onText={type} onDone={onDone} />] : []),
              ...(row.heading ? [<SectionRow key={`s${row.index}`}>{row.heading}</SectionRow>] : []),
              edited ? (
                <EditRow key="edit" words={words} row={row} onText={type} onDone={onDone} />
              ) : (
                <LineRow
                  key={row.index}
                  row={row}
                  on={selected === row.index}
                  lit={lit === row.index}
                  onSelect={onSelect}
                  onHover={onHover}
                  onEdit={onEdit}
                />
              ),
            ];
          })}
          {edit && !found && firstAfter < 0 && (
            <EditRow key="edit" words={words} onText={type} onDone={onDone} />
          )}
        </tbody>
        <tfoot>
          <tr className="num border-t-2 border-rim font-semibold">
            <td />
            <th scope="row" className="px-2 py-1.5 text-left font-semibold">
              A plate
            </th>
            <td className="px-2 py-1.5 text-right">
              <span className="lg:pr-[52px]">{total(audit.total.fatSharePercent?.best)} %</span>
            </td>
            <td className="px-2 py-1.5 text-right">
              <span className="lg:pr-[52px]">{total(per.sodiumMg?.best)}</span>
            </td>
            <td className="hidden px-2 py-1.5 text-right md:table-cell">
              <span className="lg:pr-[52px]">{total(per.freeSugarG?.best)}</span>
            </td>
            <td className="hidden px-2 py-1.5 text-right md:table-cell">{total(per.energyKcal?.best)}</td>
          </tr>
        </tfoot>
      </table>
      <Legend className="px-3 pb-2" marks={rows.map((r) => r.mark)} />
    </section>
  );
}
