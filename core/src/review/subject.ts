import type { Pattern } from '../pattern/index.ts';
import type { Remark } from './remark.ts';

/** What a remark is about: a thing of the pattern by its id, or a side of it as a whole. */
export type RemarkSubject =
  | {
      readonly kind: keyof typeof LIST_OF;
      readonly id: string;
    }
  | { readonly kind: 'tools' | 'options' | 'together' | 'height' | 'about' };

const WHOLE: Readonly<Partial<Record<Remark['code'], 'options' | 'together' | 'height'>>> = {
  value_never_allowed: 'options',
  slot_rule_broken: 'options',
  slot_without_places: 'options',
  colourway_as_written: 'options',
  feature_does_not_fit: 'together',
  figure_falls: 'together',
  figure_hangs_crooked: 'together',
  proportion_off: 'together',
  enclosure_too_small: 'together',
  height_over_parts: 'height',
  height_off_figure: 'height',
};

/** Once for all who lead to it, count it, name it, or keep what its author said of it. */
export function subjectOf(remark: Remark): RemarkSubject {
  if ('stepId' in remark) return { kind: 'step', id: remark.stepId };
  if (remark.code === 'order_broken') return { kind: 'order', id: remark.link.afterId };
  if ('partId' in remark) return { kind: 'part', id: remark.partId };
  if ('joinId' in remark) return { kind: 'join', id: remark.joinId };
  if ('cutId' in remark) return { kind: 'cut', id: remark.cutId };
  if ('findingUseId' in remark) return { kind: 'finding', id: remark.findingUseId };
  if ('pictureId' in remark) return { kind: 'picture', id: remark.pictureId };
  if ('sessionId' in remark) return { kind: 'session', id: remark.sessionId };
  if ('techniqueUseId' in remark) return { kind: 'technique', id: remark.techniqueUseId };
  if ('needKey' in remark) return { kind: 'tools' };
  return { kind: WHOLE[remark.code] ?? 'about' };
}

/** In which list of the pattern a thing lies. */
const LIST_OF = {
  step: 'steps',
  order: 'steps',
  part: 'parts',
  join: 'joins',
  cut: 'cuts',
  finding: 'findings',
  picture: 'pictures',
  session: 'sessions',
  technique: 'techniques',
} as const;

/** The thing itself, as it stands in the pattern; null: it is about a whole side of it. */
export function thingOf(remark: Remark, pattern: Pattern): unknown {
  const subject = subjectOf(remark);
  if (!('id' in subject)) return null;
  const things: readonly { readonly id: string }[] = pattern[LIST_OF[subject.kind]];
  return things.find(({ id }) => id === subject.id);
}
