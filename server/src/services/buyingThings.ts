import type { BuyingThing } from '@lanakit/core/api';
import { needleName, unitOfFinding } from '@lanakit/core/shelf';
import type { Store } from '../db/index.ts';

/** Everything on the shelf that is bought, by name. */
export function thingsOf(store: Store): BuyingThing[] {
  const levels = store.settings.levels();
  const fibres = store.shelf.fibres();
  const thing = (
    kind: BuyingThing['kind'],
    { id, archived }: { readonly id: string; readonly archived: boolean },
    more: Pick<BuyingThing, 'name' | 'unit' | 'onHand'> & Partial<BuyingThing>,
  ): BuyingThing => ({
    id,
    kind,
    preparation: null,
    colour: null,
    isArchived: archived,
    least: levels.get(id) ?? null,
    ...more,
  });
  return [
    ...fibres.map((fibre) =>
      thing('fibre', fibre, {
        name: fibre.name,
        preparation: fibre.preparation,
        colour: fibre.colour,
        unit: 'g',
        onHand: fibre.onHandG,
      }),
    ),
    ...store.shelf
      .blends(fibres)
      .map((blend) => thing('blend', blend, { name: blend.name, unit: 'g', onHand: blend.onHandG })),
    ...store.shelf.findings().map((finding) =>
      thing('finding', finding, {
        name: finding.name,
        unit: unitOfFinding(finding.measure),
        onHand: finding.onHand,
      }),
    ),
    ...store.shelf
      .needles()
      .map((needle) =>
        thing('needle', needle, { name: needleName(needle), unit: 'piece', onHand: needle.onHand }),
      ),
    ...store.shelf
      .tools()
      .map((tool) => thing('tool', tool, { name: tool.name, unit: 'piece', onHand: tool.onHand })),
  ];
}
