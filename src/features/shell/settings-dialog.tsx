'use client';
import { useLiveQuery } from 'dexie-react-hooks';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import { toast } from 'sonner';
import { exportArchive, readArchive, type Archive } from '@/data/archive';
import {
  emptyKitchen,
  importArchive,
  lastImport,
  planImport,
  undoImport,
  type Clash,
  type ImportPlan,
} from '@/data/bring-in';
import { database } from '@/data/db';
import { keep } from '@/data/saving';
import { setMeasure, setSetting, type Settings, type Theme } from '@/data/settings';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { saveFile } from '@/ui/save-file';
import { Copies } from './copies';
import { StorageWords } from './storage-words';
import { useSettings } from '@/kitchen/use-settings';

const THEMES: readonly (readonly [Theme, string])[] = [
  ['system', 'as the device'],
  ['day', 'day kitchen'],
  ['night', 'night kitchen'],
];

function Choice<T extends string>({
  legend,
  value,
  options,
  onChange,
}: {
  legend: string;
  value: T;
  options: readonly (readonly [T, string])[];
  onChange: (value: T) => void;
}) {
  // shown at once, whatever the database takes
  const [chosen, setChosen] = useState(value);
  return (
    <fieldset className="mb-4">
      <legend className="mb-1 font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-x-5 gap-y-1">
        {options.map(([id, label]) => (
          <label key={id} className="flex min-h-8 items-center gap-2">
            <input
              type="radio"
              name={legend}
              checked={chosen === id}
              onChange={() => {
                setChosen(id);
                onChange(id);
              }}
              className="size-4 accent-[var(--rim)]"
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

/** Something that is so or not; shown at once, whatever the database takes. */
function Tick({
  checked,
  onChange,
  children,
}: {
  checked: boolean;
  onChange: (on: boolean) => void;
  children: ReactNode;
}) {
  const [ahead, setAhead] = useState<boolean | null>(null);
  return (
    <label className="mb-4 flex items-start gap-2">
      <input
        type="checkbox"
        className="mt-0.5 size-4 flex-none accent-[var(--rim)]"
        checked={ahead ?? checked}
        onChange={(e) => {
          setAhead(e.target.checked);
          onChange(e.target.checked);
        }}
      />
      <span>{children}</span>
    </label>
  );
}

const importWords = ({ added, both, newer, older, same }: ImportPlan, kept: 'keep' | 'replace'): string =>
  [
    `${added} new`,
    ...(both > 0 ? [`${both} changed on both sides and put together line by line`] : []),
    ...(newer > 0 ? [`${newer} newer than here`] : []),
    ...(older > 0
      ? [kept === 'keep' ? `${older} kept as they are here` : `${older} put back as in the file`]
      : []),
    ...(same > 0 ? [`${same} the same`] : []),
  ].join(', ');

/** Settings, and everything out to a file and back in. */
export function SettingsDialog({
  open,
  onOpenChange,
  offered,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  /** A kitchen's file that was dropped or opened elsewhere. */
  offered: File | null;
}) {
  const settings = useSettings();
  const file = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [asking, setAsking] = useState<{ archive: Archive; plan: ImportPlan } | null>(null);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  const undoable = useLiveQuery(() => lastImport(database()), [], undefined);
  const db = database;
  const set = <K extends keyof Settings>(key: K, value: Settings[K]) =>
    void keep('the setting', () => setSetting(db(), key, value));

  const takeBack = () =>
    void keep('the kitchen', () => undoImport(db(), Date.now())).then(
      (done) => done && toast('The file is taken back: everything is as it was.'),
    );
  const take = async (archive: Archive, older: 'keep' | 'replace') => {
    setAsking(null);
    const done = await keep('the file', () => importArchive(db(), archive, older, Date.now()));
    if (!done) return;
    const changed = done.added + done.both + done.newer + (older === 'replace' ? done.older : 0);
    toast(
      `${archive.recipes.length === 1 ? 'One recipe' : `${archive.recipes.length} recipes`} brought in: ${importWords(done, older)}.`,
      {
        ...(changed > 0 ? { action: { label: 'Undo', onClick: takeBack } } : {}),
      },
    );
    // where both changed the same line, the cook is told what gave way
    if (done.clashes.length > 0) {
      setClashes(done.clashes);
      return;
    }
    onOpenChange(false);
  };
  const saveAll = async () => {
    const out = await keep('the file', () => exportArchive(db()));
    if (!out) return;
    saveFile('dulvet-kitchen.json', 'application/json', JSON.stringify(out.archive, null, 2));
    set('savedAt', Date.now());
    setRefusal(
      out.left.length > 0
        ? `Saved, but without: ${out.left.map((l) => `${l.what} (${l.why})`).join('; ')}.`
        : null,
    );
  };

  const bringIn = async (chosen: File | undefined) => {
    if (!chosen) return;
    const reading = readArchive(await chosen.text());
    if (!reading.ok) {
      setRefusal(`${chosen.name}: ${reading.message}`);
      return;
    }
    setRefusal(null);
    const plan = await keep('the file', () => planImport(db(), reading.archive));
    if (!plan) return;
    // what was changed here since the file was made is not thrown away unasked
    if (plan.older > 0) setAsking({ archive: reading.archive, plan });
    else await take(reading.archive, 'keep');
  };

  const asked = useRef<File | null>(null);
  useEffect(() => {
    if (offered === null || asked.current === offered) return;
    asked.current = offered;
    void bringIn(offered);
  });

  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Settings">
      <Choice
        legend="A cup is"
        value={settings.measures.cup}
        options={[
          ['us', 'the US cup, 237 ml'],
          ['metric', 'the metric cup, 250 ml'],
        ]}
        onChange={(cup) => void keep('the setting', () => setMeasure(db(), { cup }))}
      />
      <Choice
        legend="A tablespoon is"
        value={settings.measures.tablespoon}
        options={[
          ['us', '15 ml'],
          ['australian', 'Australian, 20 ml'],
        ]}
        onChange={(tablespoon) => void keep('the setting', () => setMeasure(db(), { tablespoon }))}
      />
      <Choice
        legend="Light"
        value={settings.theme}
        options={THEMES}
        onChange={(theme) => set('theme', theme)}
      />
      <label className="mb-4 flex items-center gap-2">
        <span className="font-semibold">Money is written with</span>
        <input
          className="field w-[64px]"
          maxLength={4}
          defaultValue={settings.currency}
          onChange={(e) => set('currency', e.target.value.trim().slice(0, 4))}
        />
      </label>
      <Tick checked={settings.natural} onChange={(on) => set('natural', on)}>
        Let foods vary as nature does, where it was measured: two standard deviations to each side, beside
        what the words leave open
      </Tick>
      <Tick checked={settings.singleKeys} onChange={(on) => set('singleKeys', on)}>
        Single keys act (N for a new recipe, E to edit a line): off where speech or a switch types
      </Tick>
      <StorageWords />
      <Copies />
      <section>
        <h3 className="mb-1 font-semibold">Everything in one file</h3>
        <p className="mb-2 text-mute">
          Recipes, diners and settings as JSON. Bringing a file in adds to what is here; a recipe that was
          changed on both sides is put together line by line, else the later state is kept.
        </p>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => void saveAll()}>Save to a file</Button>
          <Button onClick={() => file.current?.click()}>Bring a file in</Button>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            className="sr-only"
            tabIndex={-1}
            aria-label="Archive to bring in"
            onChange={(e) => {
              void bringIn(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </div>
        {clashes.length > 0 && (
          <div role="alert" className="mt-3 rounded-lg bg-wash p-3">
            <p>These lines were changed on both sides. The later words stand; the other’s were:</p>
            <ul className="mt-1 list-disc pl-5">
              {clashes.map((c) => (
                <li key={c.title}>
                  {c.title}: {c.lines.map((l) => (l ? `“${l}”` : 'left out')).join(', ')}
                </li>
              ))}
            </ul>
            <div className="mt-2 flex flex-wrap gap-1.5">
              <Button look="solid" onClick={() => setClashes([])}>
                Leave it so
              </Button>
              <Button
                onClick={() => {
                  setClashes([]);
                  takeBack();
                }}
              >
                Take the file back
              </Button>
            </div>
          </div>
        )}
        {asking && (
          <div role="alert" className="mt-3 rounded-lg bg-wash p-3">
            <p>
              {asking.plan.older === 1
                ? 'One thing here was changed after this file was made.'
                : `${asking.plan.older} things here were changed after this file was made.`}{' '}
              Which shall stay?
            </p>
            <div className="mt-2 flex flex-wrap gap-1.5">
              <Button look="solid" onClick={() => void take(asking.archive, 'keep')}>
                Keep the newer ones
              </Button>
              <Button onClick={() => void take(asking.archive, 'replace')}>Take the file’s</Button>
              <Button look="plain" onClick={() => setAsking(null)}>
                Leave it
              </Button>
            </div>
          </div>
        )}
        <div className="mt-3">
          <Button
            onClick={() =>
              void keep('the kitchen', () => emptyKitchen(db(), Date.now())).then(() => {
                toast('Your kitchen is empty. Paste a first recipe on the Bench.', {
                  duration: 20_000,
                  action: { label: 'Undo', onClick: takeBack },
                });
                onOpenChange(false);
              })
            }
          >
            {settings.seeded ? 'Leave the demo: an empty kitchen of your own' : 'Empty the kitchen'}
          </Button>
        </div>
        {undoable && !asking && (
          <p className="mt-2">
            <Button look="plain" className="-ml-2 px-2" onClick={takeBack}>
              Take the last file back, or what was put away
            </Button>
          </p>
        )}
        {refusal && (
          <p role="alert" className="mt-2 font-medium text-over">
            {refusal}
          </p>
        )}
      </section>
    </Dialog>
  );
}
