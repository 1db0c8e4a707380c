import type { ReviewContext } from './context.ts';
import { remembered } from './remembered.ts';

/** Parts of a figure that go by several names: one of a line stands for the others. */
const CALLED: readonly (readonly string[])[] = [
  ['paw', 'foot', 'feet', 'hoof', 'hooves', 'toe', 'claw', 'leg'],
  ['ear'],
  ['wing', 'fin', 'flipper'],
  ['tail', 'rump'],
  ['beak', 'bill'],
  ['nose', 'muzzle', 'snout'],
  ['horn', 'antler'],
  ['whisker'],
  ['hat', 'cap'],
  ['scarf', 'shawl'],
];

const GROUPS = CALLED.map((group) => ({
  inText: new RegExp(`\\b(?:the|both|each|two|four) (${group.join('|')})(?:s|es)?\\b`, 'i'),
  inName: new RegExp(group.join('|'), 'i'),
}));

/** Of each group that a text speaks of, the word. */
const groupsIn = remembered((text: string) =>
  GROUPS.flatMap((group) => {
    const inText = group.inText.exec(text)?.[1];
    return inText === undefined ? [] : [{ group, inText }];
  }),
);

/** “Set the ears on” where nothing is an ear: of a figure that was, or of another. */
export function partsMissing(context: ReviewContext): (text: string) => readonly string[] {
  const names = namesIn(context);
  const there = new Set(GROUPS.filter(({ inName }) => inName.test(names)));
  return (text) => groupsIn(text).flatMap(({ group, inText }) => (there.has(group) ? [] : [inText]));
}

/** Whether anything of a figure goes by a word, or by another that stands for it; null: it is no part’s word. */
export function isPartThere(context: ReviewContext): (word: string) => boolean | null {
  const names = namesIn(context);
  return (word) => {
    const group = GROUPS.find(({ inName }) => inName.test(word));
    return group ? group.inName.test(names) : null;
  };
}

/** Whatever anything of a figure is called, and what its author says of it. */
const namesIn = ({ pattern, wool }: ReviewContext): string =>
  [
    pattern.title,
    ...pattern.parts.flatMap(({ name, hides, uses }) => [
      name,
      hides,
      ...uses.flatMap((use) => ('words' in use ? [use.words] : [])),
    ]),
    ...pattern.cuts.flatMap((cut) => [
      cut.name,
      ...(cut.kind === 'wire' ? cut.segments.map(({ name }) => name) : []),
    ]),
    ...pattern.findings.map(({ findingId }) => wool.findings.get(findingId ?? '')?.name ?? ''),
    ...pattern.options.flatMap(({ name, values }) => [name, ...values.map((value) => value.name)]),
    ...pattern.poses.map(({ name }) => name),
  ].join(' ; ');
