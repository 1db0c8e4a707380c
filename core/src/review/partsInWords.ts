import type { ReviewContext } from './context.ts';

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

/** “Set the ears on” where nothing is an ear: of a figure that was, or of another. */
export function partsNotThere(text: string, { pattern, wool }: ReviewContext): string[] {
  const names = [
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
  return CALLED.flatMap((group) => {
    const inText = new RegExp(`\\b(?:the|both|each|two|four) (${group.join('|')})(?:s|es)?\\b`, 'i').exec(
      text,
    )?.[1];
    const isThere = new RegExp(`(?:${group.join('|')})`, 'i').test(names);
    return inText === undefined || isThere ? [] : [inText];
  });
}
