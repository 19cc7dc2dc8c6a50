'use client';
import { database, type StoredDiner } from '@/data/db';
import { newDiner, saveDiner } from '@/data/diners';
import { keep } from '@/data/saving';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { useProtocols } from '@/kitchen/use-protocols';
import { DinerCard } from './diner-card';

/** Everyone who is kept, to be changed, and a way to add somebody. */
export function DinerList({ diners }: { diners: readonly StoredDiner[] }) {
  const { all, byId } = useProtocols();
  // while nobody is kept each protocol stands in as a diner
  const kept = diners.filter((d) => !byId(d.id));
  const add = () =>
    void keep('the diner', () =>
      saveDiner(database(), newDiner(`Diner ${kept.length + 1}`, all[0]?.id ?? 'heart-strict', kept.length)),
    );
  return (
    <>
      <ul className="space-y-2">
        {kept.map((diner) => (
          <DinerCard key={diner.id} diner={diner} protocols={all} />
        ))}
      </ul>
      {kept.length === 0 && <p className="mb-2 text-mute">Nobody yet: dishes are judged by each protocol.</p>}
      <Button look="line" className="mt-3" onClick={add}>
        Add a diner
      </Button>
    </>
  );
}

/** Who is at the table: names, protocols, plates, allergies. Kept as it is changed. */
export function TableDialog({
  open,
  onOpenChange,
  diners,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  diners: readonly StoredDiner[];
}) {
  return (
    <Dialog
      open={open}
      onOpenChange={onOpenChange}
      title="The table"
      says="Each dish is judged for everyone here. Allergens are those of the usual product: for a real allergy, read every label."
      wide
    >
      <DinerList diners={diners} />
    </Dialog>
  );
}
