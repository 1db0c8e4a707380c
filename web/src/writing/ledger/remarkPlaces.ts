import { nowShows, unmetNeeds } from '@lanakit/core/build';
import type { Pattern } from '@lanakit/core/pattern';
import type { Remark } from '@lanakit/core/review';
import { ownerName } from '../../words/ownerWords.ts';
import type { Writing } from '../table/writing.ts';

const ON_OPTIONS: ReadonlySet<Remark['code']> = new Set<Remark['code']>([
  'value_never_allowed',
  'slot_rule_broken',
  'slot_without_places',
  'colourway_as_written',
]);

interface Ways {
  readonly onChoosePart: (partId: string) => void;
  readonly onShow: (writing: Writing) => void;
  readonly onOpenStep: (stepId: string) => void;
}

/** To where it is mended. */
export function goTo(finding: Remark, { onChoosePart, onShow, onOpenStep }: Ways): void {
  if ('stepId' in finding) onOpenStep(finding.stepId);
  else if ('partId' in finding) onChoosePart(finding.partId);
  else if ('joinId' in finding) onShow('joins');
  else if (finding.code === 'order_broken') onOpenStep(finding.link.afterId);
  else if ('cutId' in finding || 'findingUseId' in finding || 'needKey' in finding) onShow('materials');
  else if ('sessionId' in finding || 'pictureId' in finding) onShow('steps');
  else if (ON_OPTIONS.has(finding.code)) onShow('options');
  else onShow('about');
}

const WHY = {
  'joined-onto': 'is joined onto it',
  'lies-on': 'lies on it',
  'size-from': 'takes a size from it',
  'amount-from': 'takes its amount from it',
} as const;

/** What the build that is looked at leaves hanging, and what it lays bare. */
export function buildFindings(
  pattern: Pattern,
  build: Pattern,
): { key: string; name: string; words: string; partId: string | null }[] {
  if (build === pattern) return [];
  const nameOf = (id: string) => ownerName({ kind: 'part', id }, pattern);
  const needs = unmetNeeds(pattern, build).map(({ neededBy, partId, why }) => ({
    key: `need ${neededBy} ${partId} ${why}`,
    name: nameOf(partId),
    words: `is left out of this build, and ${nameOf(neededBy)} ${WHY[why]}. Leave that out too, or join it elsewhere.`,
    partId: neededBy,
  }));
  const shows = nowShows(pattern, build).map((shown) => {
    switch (shown.what) {
      case 'beneath':
        return {
          key: `b ${shown.partId}`,
          name: nameOf(shown.partId),
          words: 'has no coat in this build: its core shows.',
          partId: shown.partId,
        };
      case 'join':
        return {
          key: `j ${shown.joinId}`,
          name: ownerName({ kind: 'join', id: shown.joinId }, pattern),
          words: 'is not covered in this build: its ends show.',
          partId: null,
        };
      case 'place':
        return {
          key: `p ${shown.partId}`,
          name: nameOf(shown.onPartId),
          words: `shows the place where ${nameOf(shown.partId)} would have sat.`,
          partId: shown.onPartId,
        };
      case 'said':
        return {
          key: `s ${shown.partId}`,
          name: nameOf(shown.partId),
          words: `is left out, so this shows: ${shown.words}.`,
          partId: shown.partId,
        };
    }
  });
  return [...needs, ...shows];
}
