import { Download, Plus, Upload } from 'lucide-react';
import type { ReactNode } from 'react';
import { readSuppliesFile, SUPPLIES_FILE, writeSuppliesFile } from '../../core/exchange/suppliesFile.ts';
import type { Supply, SupplyOf, SupplyKind } from '../../core/supplies/schema.ts';
import { supplyKeeper } from '../../store/keeping/library.ts';
import type { Seen } from '../../store/tables/kind.ts';
import { DamagedList } from '../parts/Damaged.tsx';
import { FilePicker } from '../parts/FilePicker.tsx';
import { LibraryPage } from '../parts/LibraryPage.tsx';
import { useFileTaken } from '../parts/useFileTaken.ts';
import { saveFile } from '../parts/saveFile.ts';
import { useAllSupplies, useSupplies } from '../parts/useSupplies.ts';
import { FragranceCard } from './FragranceCard.tsx';
import { CutterCard, JarCard, JugCard } from './OtherCards.tsx';
import { Button } from '../kit/Button.tsx';

type Fresh = Exclude<SupplyKind, 'beginning'>;

/** A thing as it is when it is new, before its maker says what it is. */
const FRESH: { readonly [K in Fresh]: Omit<SupplyOf<K>, 'id' | 'kind'> } = {
  fragrance: { name: 'New fragrance', densityGMl: 0.97, observed: [] },
  jar: { name: 'New jar', colorant: 'heather', carrier: 'oil', carrierPerPowder: 4, leftG: 100 },
  jug: { name: 'New jug', capacityMl: 1000, tareG: 150, count: 1 },
  cutter: { name: 'New cutter', pitchMm: 25, kerfMm: 0, longestMm: 300 },
};

const add = (kind: Fresh): void => {
  const id = `own-${crypto.randomUUID()}`;
  void supplyKeeper.change(id, null, { kind, id, ...FRESH[kind] } as Supply);
};

interface SectionProps<K extends Fresh> {
  readonly kind: K;
  readonly title: string;
  readonly one: string;
  readonly says: string;
  readonly card: (seen: Seen<SupplyOf<K>>) => ReactNode;
}

/** One kind of thing, each on a card of its own. */
function Section<K extends Fresh>({ kind, title, one, says, card }: SectionProps<K>) {
  const things = useSupplies(kind);
  return (
    <section aria-labelledby={`supplies-${kind}`} className="grid content-start gap-3">
      <div className="rule flex items-baseline justify-between gap-3 border-b-2 pb-1">
        <h2 id={`supplies-${kind}`} className="text-lg">
          {title}
        </h2>
        <Button icon={Plus} onClick={() => add(kind)}>
          {one}
        </Button>
      </div>
      {things.length === 0 ? (
        <p className="quiet text-sm">{says}</p>
      ) : (
        <ul className="grid gap-4">{things.map(card)}</ul>
      )}
    </section>
  );
}

/**
 * What a maker has: fragrances by lot, jars of colour, jugs, cutters. Plans keep copies of what they take
 * from here.
 */
export function Supplies() {
  const { things, damaged } = useAllSupplies();
  const { refused, bring } = useFileTaken(readSuppliesFile, (taken) => {
    for (const thing of taken)
      void supplyKeeper.change(thing.id, things.find((t) => t.value.id === thing.id) ?? null, thing);
  });
  const tools = (
    <>
      <FilePicker icon={Upload} label="Supplies file" accept=".json,application/json" onFile={bring}>
        Import
      </FilePicker>
      <Button
        icon={Download}
        onClick={() =>
          saveFile(SUPPLIES_FILE, writeSuppliesFile(things.map((t) => t.value)), 'application/json')
        }
      >
        Export
      </Button>
    </>
  );
  return (
    <LibraryPage title="Supplies" tools={tools} refused={refused}>
      <DamagedList table="stores" keys={damaged} />
      <main className="grid min-h-0 flex-1 content-start gap-x-10 gap-y-8 overflow-y-auto bg-base-100 p-6 xl:grid-cols-2">
        <Section
          kind="fragrance"
          title="Fragrances"
          one="Fragrance"
          says="Each lot by itself: what its certificate allows, what its supplier says, and what you saw it do."
          card={(seen) => <FragranceCard key={seen.value.id} seen={seen} />}
        />
        <div className="grid content-start gap-8">
          <Section
            kind="jar"
            title="Stock jars"
            one="Jar"
            says="Colour shaken up in its carrier, ready to weigh out."
            card={(seen) => <JarCard key={seen.value.id} seen={seen} />}
          />
          <Section
            kind="jug"
            title="Jugs"
            one="Jug"
            says="What they hold and weigh empty: then the sheet says what the scale reads, and whether a pot fits."
            card={(seen) => <JugCard key={seen.value.id} seen={seen} />}
          />
          <Section
            kind="cutter"
            title="Cutters"
            one="Cutter"
            says="Slots or wires at an even distance, and the longest loaf they take."
            card={(seen) => <CutterCard key={seen.value.id} seen={seen} />}
          />
        </div>
      </main>
    </LibraryPage>
  );
}
