import type { UseEstimate } from '../../engine/index.ts';
import { STAGES } from '../../pattern/index.ts';
import { sessionOfWool, stageOfWool } from '../../writing/index.ts';
import type { RunInput } from '../document/run.ts';
import { type Bag, type BagHolds, FIGURE_BAG, IF_NEEDED_BAG, JOINS_BAG } from '../portions/bag.ts';
import type { Make } from './packGroups.ts';

export type BagTerms = Pick<RunInput, 'bagging' | 'ownBags' | 'isBaggedByDesign'>;

/** Bags of one design come together, before those of the next. */
const DESIGN_ORDER = 10_000;

/** The bag that wool of a make goes into, by what the run says. */
export function bagOfUse(
  use: UseEstimate,
  make: Make & { readonly at: number; readonly of: number; readonly joinsApart: boolean },
  terms: BagTerms,
): Bag {
  const isOwn = terms.isBaggedByDesign && make.of > 1;
  const bag = sortOfBag(use, make, terms);
  if (!isOwn && bag.makeAt === null) return bag;
  return {
    ...bag,
    key: `${make.at + 1} ${bag.key}`,
    makeAt: make.at,
    order: (isOwn ? make.at * DESIGN_ORDER : 0) + bag.order,
  };
}

function sortOfBag(
  use: UseEstimate,
  make: Make & { readonly at: number; readonly joinsApart: boolean },
  { bagging, ownBags }: BagTerms,
): Bag {
  if (use.isIfNeeded) return IF_NEEDED_BAG;
  if (make.joinsApart && use.owner.kind === 'join') return JOINS_BAG;
  const bag = (key: string, holds: BagHolds, order: number, more: Partial<Bag> = {}): Bag => ({
    ...FIGURE_BAG,
    key,
    holds,
    order,
    ...more,
  });
  switch (bagging) {
    case 'one':
      return FIGURE_BAG;
    case 'stage': {
      const stage = stageOfWool(make.build, use);
      return bag(`stage ${stage}`, { kind: 'stage', stage }, 1 + STAGES.indexOf(stage));
    }
    case 'session': {
      const at = sessionOfWool(make.build, use);
      const name = make.build.sessions[at]?.name ?? '';
      return bag(`session ${at + 1}`, { kind: 'session', number: at + 1, name }, 1 + at, {
        isKeptBack: at > 0,
      });
    }
    case 'colour':
      return bag(`colour ${use.fibreId}`, { kind: 'colour', fibreId: use.fibreId ?? '' }, 1);
    case 'part': {
      const { parts, joins } = make.build;
      const place =
        use.owner.kind === 'part'
          ? parts.findIndex(({ id }) => id === use.owner.id)
          : parts.length + joins.findIndex(({ id }) => id === use.owner.id);
      return bag(`part ${use.owner.id}`, { kind: 'part', owner: use.owner }, 1 + place, { makeAt: make.at });
    }
    case 'own': {
      const at = ownBags.findIndex(({ places }) =>
        places.some(({ revisionId, id }) => revisionId === make.revisionId && id === use.owner.id),
      );
      const ownBag = ownBags[at];
      return ownBag ? bag(`own ${ownBag.id}`, { kind: 'own', name: ownBag.name }, 1 + at) : FIGURE_BAG;
    }
  }
}
