'use client';
import { useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { PROTOCOLS, type Protocol, type ProtocolSource } from '@/core/protocol';
import { database } from '@/data/db';
import { seedDemo } from '@/data/demo';
import { copyOf, protocolFile, readProtocol, removeProtocol, saveProtocol } from '@/data/protocols';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import { saveFile } from '@/ui/save-file';
import { useKeys } from '@/ui/use-keys';
import { useDiners } from '@/kitchen/use-table';
import { useDiner } from '@/kitchen/use-diner';
import { DinerList } from '@/kitchen/table/table-dialog';
import { ProtocolEditor } from './protocol-editor';
import { Schools } from './schools';
import { useProtocols } from '@/kitchen/use-protocols';

const fileName = (name: string) => `${name.toLowerCase().replace(/[^a-z0-9]+/g, '-')}.protocol.json`;

/** The Rules: protocols, schools side by side, diners. */
export function Rules({ demo }: { demo: boolean }) {
  useEffect(() => {
    if (demo) void seedDemo(database(), Date.now());
  }, [demo]);
  const { own, all } = useProtocols();
  const { current } = useDiner();
  const diners = useDiners();
  const [editing, setEditing] = useState<ProtocolSource | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const file = useRef<HTMLInputElement>(null);

  const copy = (protocol: Protocol) => {
    const source = copyOf(protocol.source);
    void keep('the protocol', () => saveProtocol(database(), source, Date.now()));
    setEditing(source);
  };
  const open = (protocol: Protocol) => {
    const mine = own.find((p) => p.id === protocol.id);
    if (mine) setEditing(mine.source);
    else copy(protocol);
  };
  const remove = (source: ProtocolSource) => {
    void keep('the protocol', () => removeProtocol(database(), source.id));
    setEditing(null);
    toast(`“${source.name}” is gone.`, {
      action: {
        label: 'Undo',
        onClick: () => void keep('the protocol', () => saveProtocol(database(), source, Date.now())),
      },
    });
  };
  const bringIn = async (chosen: File | undefined) => {
    if (!chosen) return;
    const reading = readProtocol(await chosen.text());
    if (!reading.ok) {
      setRefusal(`${reading.message}. Nothing was changed.`);
      return;
    }
    setRefusal(null);
    const shipped = PROTOCOLS.some((p) => p.id === reading.source.id);
    const source = shipped ? copyOf(reading.source) : reading.source;
    await keep('the protocol', () => saveProtocol(database(), source, Date.now()));
    setEditing(source);
  };
  useKeys({ Escape: () => setEditing(null) });

  return (
    <>
      <div className="mb-3 flex flex-wrap items-end justify-between gap-3">
        <div>
          <h1 className="text-[25px] font-semibold leading-tight">Rules</h1>
          <p className="text-mute">
            {PROTOCOLS.length} schools
            {own.length > 0 &&
              `, ${own.length === 1 ? 'one protocol' : `${own.length} protocols`} of your own`}
            . None of them is medical advice.
          </p>
        </div>
        <div className="flex flex-wrap gap-1.5">
          <Button onClick={() => file.current?.click()}>Bring a protocol in</Button>
          <input
            ref={file}
            type="file"
            accept="application/json,.json"
            className="sr-only"
            tabIndex={-1}
            aria-label="Protocol file to bring in"
            onChange={(e) => {
              void bringIn(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </div>
      </div>
      {refusal && (
        <p role="alert" className="mb-3 font-medium text-over">
          {refusal}
        </p>
      )}
      {editing && (
        <div className="sheet mb-4 p-4">
          <ProtocolEditor key={editing.id} source={editing} onDone={() => setEditing(null)} />
          <div className="mt-4 flex flex-wrap gap-1.5 border-t border-hair pt-3">
            <Button
              onClick={() => {
                const kept = own.find((p) => p.id === editing.id)?.source ?? editing;
                saveFile(fileName(kept.name), 'application/json', protocolFile(kept));
              }}
            >
              Save to a file
            </Button>
            <Button
              look="plain"
              onClick={() => remove(own.find((p) => p.id === editing.id)?.source ?? editing)}
            >
              Remove
            </Button>
          </div>
        </div>
      )}
      <Schools protocols={all} current={current.protocol.id} onOpen={open} />
      <div className="mt-2 flex flex-wrap items-center gap-1.5">
        <span className="text-[13px] text-mute">Copy to change:</span>
        {PROTOCOLS.map((p) => (
          <Button key={p.id} look="plain" onClick={() => copy(p)}>
            {p.name}
          </Button>
        ))}
        {own.map((p) => (
          <Button key={p.id} onClick={() => setEditing(p.source)}>
            Change {p.source.name}
          </Button>
        ))}
      </div>
      <section className="mt-6 max-w-3xl" aria-label="At the table">
        <h2 className="mb-1 text-[18px] font-semibold">At the table</h2>
        <p className="mb-2 text-mute">
          Each dish is judged for everyone here. Allergens are those of the usual product: for a real allergy,
          read every label. A plant-based diet needs vitamin B12 from a supplement or fortified food, and
          iodine where iodised salt goes. Low-fat limits are not for children, in pregnancy or where weight is
          low without advice.
        </p>
        <DinerList diners={diners} />
      </section>
    </>
  );
}
