import type { Buying, BuyingThing } from '@lanakit/core/api';
import {
  askedPurchase,
  type AskedPurchase,
  type BuyingChoices,
  chosenWants,
  type ChosenWant,
  needsOf,
} from '@lanakit/core/buying';
import type { Supplier } from '@lanakit/core/shelf';
import { useMemo, useState } from 'react';

/** The runs that are bought for, what they want, and what the maker has said of it. */
export interface Asked {
  /** Ids of runs. */
  readonly runIds: ReadonlySet<string>;
  readonly setRunIds: (ids: ReadonlySet<string>) => void;
  readonly wants: readonly ChosenWant[];
  readonly choices: BuyingChoices;
  readonly choose: (more: Partial<BuyingChoices>) => void;
  readonly purchase: AskedPurchase;
  readonly thingOf: (itemId: string) => BuyingThing | undefined;
}

const NOTHING_SAID: BuyingChoices = {
  fromOne: new Set(),
  asNone: new Set(),
  isLateToo: false,
  held: new Map(),
};

/** All runs ahead at first. */
export function useAskedPurchase(buying: Buying, suppliers: readonly Supplier[]): Asked {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [choices, setChoices] = useState(NOTHING_SAID);
  const runIds = useMemo(
    () => new Set(buying.runs.map(({ id }) => id).filter((id) => !left.has(id))),
    [buying, left],
  );
  const wants = useMemo(
    () =>
      chosenWants(
        buying.wants,
        buying.runs.filter(({ id }) => runIds.has(id)),
        buying.coming,
      ),
    [buying, runIds],
  );
  const things = useMemo(() => new Map(buying.things.map((thing) => [thing.id, thing])), [buying]);
  const purchase = useMemo(() => {
    const blends = new Set(buying.things.flatMap(({ id, kind }) => (kind === 'blend' ? [id] : [])));
    return askedPurchase(needsOf(wants, choices, blends), suppliers, buying.today, choices.held);
  }, [wants, choices, suppliers, buying]);
  return {
    runIds,
    setRunIds: (ids) => setLeft(new Set(buying.runs.map(({ id }) => id).filter((id) => !ids.has(id)))),
    wants,
    choices,
    choose: (more) => setChoices((before) => ({ ...before, ...more })),
    purchase,
    thingOf: (itemId) => things.get(itemId),
  };
}
