import type { Pattern } from '../document/pattern.ts';
import type { Placement } from '../document/placement.ts';
import type { PlaceTarget } from '../document/pose.ts';

/** The thing in a pattern that keeps the place; undefined: it is gone. The pattern’s own, to be read or changed. */
export function placedThing(
  { joins, parts, findings, cuts }: Pick<Pattern, 'joins' | 'parts' | 'findings' | 'cuts'>,
  target: PlaceTarget,
): { placement: Placement | null } | undefined {
  switch (target.kind) {
    case 'join':
      return joins.find(({ id }) => id === target.joinId);
    case 'use': {
      const part = parts.find(({ id }) => id === target.partId);
      const use = part?.uses.find(({ id }) => id === target.useId);
      return use && 'placement' in use ? use : undefined;
    }
    case 'laid':
      return parts.find(({ id }) => id === target.partId);
    case 'finding':
      return findings.find(({ id }) => id === target.findingUseId);
    case 'cut':
      return cuts.find(({ id }) => id === target.cutId)?.seat ?? undefined;
  }
}
