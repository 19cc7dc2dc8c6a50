import type { ReactNode } from 'react';
import { Button } from '@/ui/button';
import { Dialog } from '@/ui/dialog';
import { Legend } from '@/ui/legend';

function Part({ name, children }: { name: string; children: ReactNode }) {
  return (
    <section className="mb-3.5">
      <h3 className="font-semibold">{name}</h3>
      {children}
    </section>
  );
}

/** How to read what Dulvet says, on one page. */
export function Guide({
  onOpenChange,
  onKeys,
}: {
  onOpenChange: (open: boolean) => void;
  onKeys: () => void;
}) {
  return (
    <Dialog open onOpenChange={onOpenChange} title="How to read this" wide>
      <Part name="What it does">
        <p>
          Dulvet reads a recipe line by line, as cooks write and talk, weighs every food, and holds the dish
          against the limits of whoever eats it. Where it goes over, it offers what could stand in, and the
          least change that fits.
        </p>
      </Part>
      <Part name="The shapes">
        <Legend marks={['within', 'near', 'over', 'depends', 'unknown', 'clear']} hatch />
      </Part>
      <Part name="Why there are two numbers">
        <p>
          “A handful”, “a tin”, “stock”: words leave room. Dulvet keeps all of it, from the least to the most
          that they may mean. “Within” is said only where even the most is within. If the room reaches the
          limit, the answer is “depends”, with what would settle it: weigh it, or say which one you mean.
        </p>
      </Part>
      <Part name="What it did not understand">
        <p>
          Such a line is said to be so and never counted as nothing. Press it to say which food it is, in
          other words or from a list; Dulvet remembers what you mean.
        </p>
      </Part>
      <Part name="Where a number comes from">
        <p>
          Press any number, gauge or verdict: it answers with the lines, the readings and the sources. Figures
          of foods are measured ones where there are any, else recalled from published tables, and marked so.
          A packet of your own goes before both.
        </p>
      </Part>
      <Part name="Three steps with a recipe of your own">
        <ol className="list-decimal pl-5">
          <li>Paste it anywhere on the Bench, or drop a file on any page.</li>
          <li>Say who eats, and by which rules, under “Who eats”.</li>
          <li>
            Press a line with a mark: see what could stand in, and take it, or ask for the least change.
          </li>
        </ol>
      </Part>
      <Part name="What it cannot know">
        <p>
          Makes differ, scales and hands too. For an allergy read the packet every time. Dulvet counts; it
          does not advise: for a medical diet, in pregnancy, for children, or with medicine that minds salt,
          potassium or vitamin K, ask your doctor or dietitian first.
        </p>
      </Part>
      <Button look="plain" className="-ml-2" keys="?" onClick={onKeys}>
        All keys
      </Button>
    </Dialog>
  );
}
