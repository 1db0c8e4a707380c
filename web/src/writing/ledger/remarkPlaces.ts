import { nowShows } from '@lanakit/core/build';
import type { Pattern } from '@lanakit/core/pattern';
import { type Remark, subjectOf } from '@lanakit/core/review';
import { ownerName } from '../../words/ownerWords.ts';
import type { Writing } from '../table/writing.ts';

export interface RemarkWays {
  readonly onChoosePart: (partId: string) => void;
  readonly onShow: (writing: Writing) => void;
  readonly onOpenStep: (stepId: string) => void;
  /** To the figure put together. */
  readonly onTogether: () => void;
}

/** To where it is mended. */
export function goTo(remark: Remark, { onChoosePart, onShow, onOpenStep, onTogether }: RemarkWays): void {
  const subject = subjectOf(remark);
  switch (subject.kind) {
    case 'step':
    case 'order':
      return onOpenStep(subject.id);
    case 'part':
      return onChoosePart(subject.id);
    case 'join':
      return onShow('joins');
    case 'cut':
    case 'finding':
    case 'tools':
      return onShow('materials');
    case 'session':
    case 'picture':
    case 'technique':
      return onShow('steps');
    case 'options':
      return onShow('options');
    case 'together':
      return onTogether();
    case 'height':
    case 'about':
      return onShow('about');
  }
}

/** What its author said would show without a part that the build looked at leaves out. */
export const shownByBuild = (
  pattern: Pattern,
  build: Pattern,
): { readonly partId: string; readonly name: string; readonly words: string }[] =>
  build === pattern
    ? []
    : nowShows(pattern, build).flatMap((shown) =>
        shown.what === 'said'
          ? [
              {
                partId: shown.partId,
                name: ownerName({ kind: 'part', id: shown.partId }, pattern),
                words: `is left out, so this shows: ${shown.words}.`,
              },
            ]
          : [],
      );
