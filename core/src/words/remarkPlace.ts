import type { Pattern } from '../pattern/index.ts';
import { type Remark, subjectOf } from '../review/index.ts';
import { ownerWords } from './runWords.ts';

const WHOLE_WORDS = {
  tools: 'Tools',
  options: 'Options',
  together: 'Together',
  height: 'Height',
  about: 'About',
} as const;

/** What a remark is about, as a person calls it. */
export function remarkPlace(remark: Remark, pattern: Pattern): string {
  const subject = subjectOf(remark);
  if (!('id' in subject)) return WHOLE_WORDS[subject.kind];
  const { kind, id } = subject;
  const nameIn = (things: readonly { readonly id: string; readonly name: string }[]) =>
    things.find((thing) => thing.id === id)?.name;
  switch (kind) {
    case 'step':
      return `Step ${pattern.steps.findIndex((step) => step.id === id) + 1}`;
    case 'order':
      return 'Order';
    case 'part':
    case 'join':
      return ownerWords({ kind, id }, pattern);
    case 'cut':
      return nameIn(pattern.cuts) || 'Materials';
    case 'finding':
      return 'Materials';
    case 'picture':
      return nameIn(pattern.pictures) || 'Pictures';
    case 'session':
      return nameIn(pattern.sessions) || 'Sessions';
    case 'technique':
      return nameIn(pattern.techniques) || 'Techniques';
  }
}
