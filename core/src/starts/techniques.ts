import { OWN_RIGHTS } from '../pattern/index.ts';
import { blankTechniqueStep, type TechniqueInput, type TechniqueStep } from '../writing/index.ts';

const step = (text: string, more: Partial<TechniqueStep>): TechniqueStep => ({
  ...blankTechniqueStep(),
  text,
  ...more,
});

const technique = (
  name: string,
  about: string,
  parameters: TechniqueInput['parameters'],
  steps: TechniqueStep[],
): TechniqueInput => ({ name, about, parameters, steps, rights: OWN_RIGHTS });

/** Techniques of the trade in plain words, to be taken and made one’s own; minutes and needles are their taker’s. */
export const START_TECHNIQUES: readonly TechniqueInput[] = [
  technique(
    'Firm ball',
    'A ball with no folds in it, firm all through.',
    [{ key: 'size', name: 'across, when felted', standard: '40 mm' }],
    [
      step(
        'Roll the wool tight from one end, folding both sides in as you go, to a third more than {size}.',
        {
          stage: 'core',
          place: 'in-hand',
          needle: { by: 'none' },
          cue: 'it stays rolled when you let go',
        },
      ),
      step(
        'Felt it to {size}, the end of the roll first, then all round, always toward the middle; turn it after every few stabs.',
        {
          act: { kind: 'felt' },
          stage: 'core',
          place: 'on-surface',
          stroke: 'toward-centre',
          depth: 'half',
          cue: 'it springs back under a thumb',
        },
      ),
    ],
  ),
  technique(
    'Limb with a loose end',
    'Felted at one end, left loose at the other to be joined by.',
    [
      { key: 'length', name: 'how long it is felted', standard: '60 mm' },
      { key: 'loose', name: 'how much stays loose', standard: '15 mm' },
    ],
    [
      step('Lay a strip as long as {length} and {loose} together, and roll it up tight from its long side.', {
        stage: 'shape',
        place: 'in-hand',
        needle: { by: 'none' },
      }),
      step('Felt it over {length}, turning it all the time. **Leave {loose} loose.**', {
        act: { kind: 'felt' },
        stage: 'shape',
        place: 'on-surface',
        stroke: 'along',
        depth: 'half',
        cue: 'it bends and comes back',
      }),
    ],
  ),
  technique(
    'Flat piece with folded edges',
    'An ear, a leaf, a wing: flat, its edges clean.',
    [{ key: 'margin', name: 'what is folded in', standard: '8 mm' }],
    [
      step(
        'Lay it out thin over the outline with {margin} to spare, in two layers that cross, and felt it through.',
        {
          act: { kind: 'felt' },
          stage: 'shape',
          place: 'on-template',
          stroke: 'straight-down',
          depth: 'through',
        },
      ),
      step(
        'Fold {margin} in along the line, felt it down at a slant, turn it over and felt from the other side.',
        {
          act: { kind: 'felt' },
          stage: 'shape',
          place: 'on-template',
          stroke: 'edges-first',
          depth: 'half',
          cue: 'it stands by itself when held at one end',
        },
      ),
    ],
  ),
  technique(
    'Join by loose ends',
    'A limb, an ear or a tail set on so that it does not turn.',
    [{ key: 'band', name: 'how wide the cover is', standard: '10 mm' }],
    [
      step(
        'Part the loose end like a star, hold the piece where it goes, and felt each ray deep into the body.',
        {
          act: { kind: 'join' },
          stage: 'join',
          place: 'in-place',
          stroke: 'toward-centre',
          depth: 'through',
          cue: 'it does not turn when you turn it',
        },
      ),
      step('Lay a thin band of {band} of the body’s own wool over the join, and felt it flat.', {
        act: { kind: 'wrap' },
        stage: 'join',
        place: 'in-place',
        stroke: 'at-a-slant',
        depth: 'light',
      }),
    ],
  ),
  technique(
    'Hanging thread',
    'A thread that carries the figure, knotted inside before the coat that hides it.',
    [{ key: 'drop', name: 'how far it hangs', standard: '200 mm' }],
    [
      step(
        'Thread {drop} of thread, doubled, through the top, knot it on a wisp of wool inside, and draw the knot in.',
        {
          act: { kind: 'sew' },
          stage: 'mount',
          needle: { by: 'none' },
          checks: [
            {
              id: 'hangs-level',
              look: 'how it hangs',
              how: 'held by its thread, from two sides',
              pass: 'it hangs level',
              remedy: 'move the thread before anything covers it',
              returnToStepId: null,
            },
          ],
        },
      ),
    ],
  ),
];
