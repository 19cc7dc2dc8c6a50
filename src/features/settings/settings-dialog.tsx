'use client';
import { useRef, useState } from 'react';
import { toast } from 'sonner';
import { exportArchive, importArchive, readArchive } from '@/data/archive';
import { database } from '@/data/db';
import { setSetting, type Theme } from '@/data/settings';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { saveFile } from '@/ui/save-file';
import { useSettings } from './use-settings';

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

/** Settings, and everything out to a file and back in. */
export function SettingsDialog({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
}) {
  const settings = useSettings();
  const file = useRef<HTMLInputElement>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const db = database;

  const bringIn = async (chosen: File | undefined) => {
    if (!chosen) return;
    const reading = readArchive(await chosen.text());
    if (!reading.ok) {
      setRefusal(`${chosen.name}: ${reading.message}`);
      return;
    }
    setRefusal(null);
    await importArchive(db(), reading.archive);
    const { recipes } = reading.archive;
    toast(`${recipes.length} ${recipes.length === 1 ? 'recipe' : 'recipes'} brought in.`);
    onOpenChange(false);
  };

  return (
    <Dialog open={open} onOpenChange={onOpenChange} title="Settings">
      <Choice
        legend="A cup is"
        value={settings.measures.cup}
        options={[
          ['us', 'the US cup, 237 ml'],
          ['metric', 'the metric cup, 250 ml'],
        ]}
        onChange={(cup) => void setSetting(db(), 'measures', { ...settings.measures, cup })}
      />
      <Choice
        legend="A tablespoon is"
        value={settings.measures.tablespoon}
        options={[
          ['us', '15 ml'],
          ['australian', 'Australian, 20 ml'],
        ]}
        onChange={(tablespoon) => void setSetting(db(), 'measures', { ...settings.measures, tablespoon })}
      />
      <Choice
        legend="Light"
        value={settings.theme}
        options={THEMES}
        onChange={(theme) => void setSetting(db(), 'theme', theme)}
      />
      <label className="mb-4 flex items-center gap-2">
        <span className="font-semibold">Money is written with</span>
        <input
          className="field w-[64px]"
          maxLength={4}
          defaultValue={settings.currency}
          onChange={(e) => void setSetting(db(), 'currency', e.target.value.trim())}
        />
      </label>
      <section className="mb-4">
        <label className="flex items-start gap-2">
          <input
            type="checkbox"
            className="mt-0.5 size-4 flex-none accent-[var(--rim)]"
            checked={settings.natural}
            onChange={(e) => void setSetting(db(), 'natural', e.target.checked)}
          />
          <span>
            Let foods vary as nature does, where it was measured: two standard deviations to each side, beside
            what the words leave open
          </span>
        </label>
      </section>
      <section>
        <h3 className="mb-1 font-semibold">Everything in one file</h3>
        <p className="mb-2 text-mute">
          Recipes, diners and settings as JSON. Bringing a file in adds to what is here; the same recipe is
          replaced.
        </p>
        <div className="flex flex-wrap gap-2">
          <Button
            onClick={() =>
              void exportArchive(db()).then((a) =>
                saveFile('dulvet-kitchen.json', 'application/json', JSON.stringify(a, null, 2)),
              )
            }
          >
            Save to a file
          </Button>
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
        {refusal && (
          <p role="alert" className="mt-2 font-medium text-over">
            {refusal}
          </p>
        )}
      </section>
    </Dialog>
  );
}
