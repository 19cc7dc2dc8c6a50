'use client';
import { useId, useMemo, useRef, useState } from 'react';
import {
  protocolById,
  PROTOCOLS,
  SWITCHES,
  type Limit,
  type Protocol,
  type ProtocolSource,
} from '@/core/protocol';
import { resolveProtocol } from '@/core/protocol/resolve';
import { ProtocolSource as Schema } from '@/core/protocol/schema';
import { database } from '@/data/db';
import { changeProtocol } from '@/data/protocols';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import { Effects } from './effects';
import { limitWords } from '@/kitchen/words';

/** Limits that may be added: those of the shipped schools, and a few that none of them has. */
const OFFERED: readonly Limit[] = [
  ...new Map(
    PROTOCOLS.flatMap((p) => p.source.limits).map((l) => [`${l.of} ${l.per} ${l.bound}`, l]),
  ).values(),
  {
    id: 'fibre',
    label: 'Fibre',
    of: 'fibreG',
    per: '1000kcal',
    bound: 'least',
    unit: 'g in 1000 kcal',
    limit: 14,
    source: 'US Dietary Reference Intakes: 14 g in 1000 kcal',
    because: 'fibre feeds the gut and fills',
  },
  {
    id: 'sodium-per-kcal',
    label: 'Sodium for each kcal',
    of: 'sodiumMg',
    per: 'kcal',
    bound: 'most',
    unit: 'mg for each kcal',
    limit: 1,
    source: 'label rule of thumb: sodium mg no more than kcal (common practice)',
  },
  {
    id: 'saturated',
    label: 'Saturated fat',
    of: 'saturatedFatG',
    per: 'serving',
    bound: 'most',
    unit: 'g a serving',
    limit: 4,
    source: 'about a third of 6 % of 2000 kcal (American Heart Association)',
  },
  {
    id: 'nova-4',
    label: 'Ultra-processed food',
    of: 'nova4Kcal',
    per: 'energy',
    bound: 'most',
    unit: '% kcal',
    limit: 10,
    source: 'NOVA group 4 (Monteiro and others, FAO 2019)',
  },
  {
    id: 'protein',
    label: 'Protein',
    of: 'proteinKcal',
    per: 'energy',
    bound: 'least',
    unit: '% kcal',
    limit: 10,
    source: 'lower end of the acceptable range, 10 % of energy (US Dietary Reference Intakes)',
  },
  {
    id: 'energy',
    label: 'Energy',
    of: 'energyKcal',
    per: 'serving',
    bound: 'most',
    unit: 'kcal a serving',
    limit: 600,
    source: 'your own',
  },
];

/** A draft settled, or why it cannot be. */
function settle(draft: ProtocolSource): { ok: true; protocol: Protocol } | { ok: false; why: string } {
  const parsed = Schema.safeParse(draft);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    return { ok: false, why: issue?.message ?? 'Something in it is not as it should be.' };
  }
  const resolved = resolveProtocol(parsed.data, SWITCHES);
  return resolved.ok ? resolved : { ok: false, why: resolved.message };
}

const keepFields = (source: ProtocolSource, patch: Partial<ProtocolSource>) =>
  void keep('the protocol', () => changeProtocol(database(), source, patch, Date.now()));

function LimitRow({
  limit,
  onChange,
  onRemove,
}: {
  limit: Limit;
  onChange: (limit: Limit) => void;
  onRemove: () => void;
}) {
  const id = useId();
  const number = (words: string) => (words.trim() === '' ? NaN : Number(words.replace(',', '.')));
  return (
    <tr className="border-b border-hair/50 last:border-0">
      <th scope="row" className="py-1.5 pr-2 text-left font-medium" title={limit.source}>
        <label htmlFor={id}>{limit.label}</label>
      </th>
      <td className="whitespace-nowrap py-1 pr-2">
        <select
          aria-label={`${limit.label}: at most or at least`}
          value={limit.bound}
          onChange={(e) => onChange({ ...limit, bound: e.target.value as Limit['bound'], aim: undefined })}
          className="field mr-1"
        >
          <option value="most">at most</option>
          <option value="least">at least</option>
        </select>
        <input
          id={id}
          inputMode="decimal"
          defaultValue={limit.limit}
          onChange={(e) => onChange({ ...limit, limit: number(e.target.value) })}
          className="field num w-[84px]"
        />
      </td>
      <td className="whitespace-nowrap py-1 pr-2">
        <input
          aria-label={`${limit.label}: aim`}
          inputMode="decimal"
          placeholder="no aim"
          defaultValue={limit.aim ?? ''}
          onChange={(e) => {
            const aim = number(e.target.value);
            onChange({ ...limit, aim: Number.isNaN(aim) ? undefined : aim });
          }}
          className="field num w-[76px]"
        />
      </td>
      <td className="py-1 pr-2 text-[13px] text-mute">
        {limit.per === 'day' ? limit.unit.replace('a serving', 'a day') : limit.unit}
      </td>
      <td className="py-1 text-right">
        <Button look="plain" onClick={onRemove} aria-label={`Remove ${limit.label}`}>
          Remove
        </Button>
      </td>
    </tr>
  );
}

/** A protocol of the cook's own: its name, limits and switches; what it changes is shown as it is made. */
export function ProtocolEditor({ source, onDone }: { source: ProtocolSource; onDone: () => void }) {
  const id = useId();
  const [draft, setDraft] = useState(source);
  // fields that could not be kept while the whole did not hold
  const waiting = useRef<Partial<ProtocolSource>>({});
  const settled = useMemo(() => settle(draft), [draft]);
  const put = (patch: Partial<ProtocolSource>) => {
    const next = { ...draft, ...patch };
    setDraft(next);
    if (settle(next).ok) {
      keepFields(next, { ...waiting.current, ...patch });
      waiting.current = {};
    } else waiting.current = { ...waiting.current, ...patch };
  };
  const base = protocolById(source.based ?? '') ?? (PROTOCOLS[0] as Protocol);
  const change = (at: number, limit: Limit) =>
    put({ limits: draft.limits.map((l, i) => (i === at ? limit : l)) });
  const offered = OFFERED.filter(
    (o) => !draft.limits.some((l) => l.of === o.of && l.per === o.per && l.bound === o.bound),
  );
  const add = (key: string) => {
    const limit = offered.find((o) => `${o.of} ${o.per} ${o.bound}` === key);
    if (!limit) return;
    const taken = draft.limits.some((l) => l.id === limit.id);
    put({
      limits: [...draft.limits, { ...limit, id: taken ? `${limit.id}-${draft.limits.length}` : limit.id }],
    });
  };
  return (
    <section
      aria-label="Protocol of your own"
      className="grid gap-x-7 gap-y-4 lg:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]"
    >
      <div className="min-w-0">
        <div className="flex items-end gap-2">
          <div className="flex-1">
            <label htmlFor={`${id}n`} className="mb-1 block text-[13px] font-semibold">
              Name
            </label>
            <input
              id={`${id}n`}
              className="field w-full"
              maxLength={60}
              value={draft.name}
              onChange={(e) => put({ name: e.target.value })}
            />
          </div>
          <Button look="solid" keys="Esc" onClick={onDone}>
            Done
          </Button>
        </div>
        <label htmlFor={`${id}s`} className="mb-1 mt-2 block text-[13px] font-semibold">
          In a sentence
        </label>
        <input
          id={`${id}s`}
          className="field w-full"
          maxLength={300}
          value={draft.says}
          onChange={(e) => put({ says: e.target.value })}
        />
        {!settled.ok && (
          <p role="alert" className="mt-2 font-medium text-over">
            {settled.why}. Until that is mended the last rules that hold are kept.
          </p>
        )}
        <div className="mt-3 overflow-x-auto">
          <table className="w-full min-w-[520px]">
            <caption className="mb-1 text-left font-semibold">Limits</caption>
            <thead className="text-left text-[12px] text-mute">
              <tr>
                <th scope="col" className="font-medium">
                  of
                </th>
                <th scope="col" className="font-medium">
                  limit
                </th>
                <th scope="col" className="font-medium">
                  aim
                </th>
                <th scope="col" className="font-medium">
                  measured
                </th>
                <th scope="col">
                  <span className="sr-only">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {draft.limits.map((limit, i) => (
                <LimitRow
                  key={limit.id}
                  limit={limit}
                  onChange={(l) => change(i, l)}
                  onRemove={() => put({ limits: draft.limits.filter((_, j) => j !== i) })}
                />
              ))}
            </tbody>
          </table>
        </div>
        <label className="mt-2 flex items-center gap-2">
          <span className="text-[13px] font-semibold">Add a limit</span>
          <select className="field" value="" onChange={(e) => add(e.target.value)}>
            <option value="">choose</option>
            {offered.map((o) => (
              <option key={`${o.of} ${o.per} ${o.bound}`} value={`${o.of} ${o.per} ${o.bound}`}>
                {o.label}, {limitWords(o)}
              </option>
            ))}
          </select>
        </label>
        <h3 className="mb-1 mt-4 font-semibold">Where the schools differ</h3>
        <div className="space-y-3">
          {Object.entries(SWITCHES).map(([key, question]) => (
            <fieldset key={key}>
              <legend className="font-medium">{question.label}</legend>
              <div className="flex flex-wrap gap-x-4">
                {question.options.map((option) => (
                  <label key={option.id} className="flex min-h-7 items-center gap-1.5">
                    <input
                      type="radio"
                      name={`${id}${key}`}
                      className="size-4 accent-[var(--rim)]"
                      checked={(draft.switches[key] ?? question.options[0]?.id) === option.id}
                      onChange={() => put({ switches: { ...draft.switches, [key]: option.id } })}
                    />
                    {option.label}
                  </label>
                ))}
              </div>
              <p className="text-[13px] text-mute">
                For: {question.lax}. Against: {question.strict}.
              </p>
            </fieldset>
          ))}
        </div>
      </div>
      <div className="lg:sticky lg:top-3 lg:self-start">
        <Effects before={base} after={settled.ok ? settled.protocol : null} />
      </div>
    </section>
  );
}
