import { type Need, needsOf } from '../../needles/index.ts';
import type { NeedleWanted, Provision } from '../../shelf/index.ts';
import type { PackGroup } from '../packs/packGroups.ts';

/** A tool or a sort of needle that somebody who opens a pack has to have, over everything that is in it. */
export interface GroupNeed {
  readonly key: string;
  readonly what: Need['what'];
  /** Of a needle, its sort. */
  readonly wanted: NeedleWanted | null;
  readonly per: Provision;
  /** By who makes it alone: as many as the make that wants most; of what is used up, all of them. */
  readonly alone: number;
  /** At each seat of a class; the rest is in holders that are shared. */
  readonly perPerson: number;
  readonly isUsedUp: boolean;
}

/** Everything that is wanted at hand for what is in a pack, also what a class shares. */
export function needsOfGroup({ makes }: Pick<PackGroup, 'makes'>): GroupNeed[] {
  const needs = new Map<string, GroupNeed>();
  for (const { build, copies } of makes) {
    for (const need of needsOf(build).listed) {
      const before = needs.get(need.key);
      const count = need.isUsedUp ? need.count * copies : need.count;
      const together = (value: number, more: number) =>
        need.isUsedUp ? value + more : Math.max(value, more);
      needs.set(need.key, {
        key: need.key,
        what: need.what,
        wanted: need.what.is === 'needle' ? need.what.wanted : null,
        per: need.per,
        isUsedUp: need.isUsedUp,
        alone: together(before?.alone ?? 0, count),
        perPerson: together(before?.perPerson ?? 0, need.isUsedUp ? count : need.perPerson),
      });
    }
  }
  return [...needs.values()];
}

/** What one person needs at hand; of needles those that are not in a holder others share. */
export const personalNeeds = (group: Pick<PackGroup, 'makes'>): GroupNeed[] =>
  needsOfGroup(group).filter(({ per, wanted, perPerson }) => (wanted ? perPerson > 0 : per === 'person'));
