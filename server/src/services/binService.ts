import type { BinnedThing } from '@lanakit/core/api';
import type { ItemKind } from '../db/index.ts';
import type { ServiceDeps } from './deps.ts';
import { ITEM_KINDS } from './itemKinds.ts';
import { answering } from './refusal.ts';

export type BinService = ReturnType<typeof binService>;

const DAYS_LISTED = 90;
const DAY_MS = 24 * 3_600_000;
const MOST_LISTED = 500;

const PATHS: Readonly<Record<Exclude<BinnedThing['kind'], 'item'>, string>> = {
  pattern: '/patterns',
  run: '/runs',
  technique: '/techniques',
  making: '/makings',
  commission: '/commissions',
};

/** What was deleted in the last ninety days, the last first, with the way back. */
export const binService = ({ store, now }: ServiceDeps) =>
  answering({
    all: (): BinnedThing[] =>
      store.bin
        .since(new Date(now().getTime() - DAYS_LISTED * DAY_MS).toISOString(), MOST_LISTED)
        .map(({ kind, id, name, itemKind, deletedAt }) => ({
          kind,
          id,
          name,
          deletedAt,
          path: kind === 'item' ? ITEM_KINDS[itemKind as ItemKind].path : PATHS[kind],
        })),
  });
