import { OWN_RIGHTS } from '@lanakit/core/pattern';
import { blankTechniqueStep, type TechniqueInput, type TechniqueStep } from '@lanakit/core/writing';

const step = (text: string, more: Partial<TechniqueStep>): TechniqueStep => ({
  ...blankTechniqueStep(),
  // As the demo's author timed them: a whole step, however often it is repeated.
  areMinutesEach: false,
  text,
  ...more,
});

const rights = { ...OWN_RIGHTS, credit: '' };

const rolledLimb: TechniqueInput = {
  name: 'Rolled limb',
  about: 'A limb that tapers, one end left loose to join with.',
  parameters: [
    { key: 'length', name: 'how long it is felted', standard: '60 mm' },
    { key: 'thick', name: 'how thick at the joined end', standard: '12 mm' },
  ],
  steps: [
    step(
      'Lay a strip a third longer than {length}, thin it toward one end, and roll it up **tight** from the side.',
      {
        act: { kind: 'make' },
        stage: 'shape',
        place: 'in-hand',
        needle: { by: 'none' },
        minutes: 2,
        cue: 'it stays rolled when you let go',
      },
    ),
    step(
      'Felt it to {length} and {thick} at the thick end, turning it all the time. **Leave the thick end loose.**',
      {
        act: { kind: 'felt' },
        stage: 'shape',
        place: 'on-surface',
        stroke: 'along',
        depth: 'half',
        minutes: { low: 60, high: 76 },
        cue: 'it bends and comes back',
      },
    ),
  ],
  rights,
};

/** The same after a season of teaching it: a check, and a word on the tip. */
export const ROLLED_LIMB_NEXT: TechniqueInput = {
  ...rolledLimb,
  steps: [
    ...rolledLimb.steps.slice(0, 1),
    {
      ...(rolledLimb.steps[1] ?? step('', {})),
      text: 'Felt it to {length} and {thick} at the thick end, turning it all the time, the tip first. **Leave the thick end loose.**',
      checks: [
        {
          id: 'limb-check',
          look: 'the tip',
          how: 'between two fingers',
          pass: 'it is firm to the very end',
          remedy: 'a few short stabs along it with the finer needle',
          returnToStepId: null,
        },
      ],
    },
  ],
};

/** What the studio has written down once and uses again. */
export const DEMO_TECHNIQUES: readonly TechniqueInput[] = [
  rolledLimb,
  {
    name: 'Folded flat',
    about: 'A leaf, a wing, an ear: flat, with clean edges.',
    parameters: [{ key: 'margin', name: 'what is folded in', standard: 'a finger’s width' }],
    steps: [
      step('Lay it out with {margin} to spare all round and felt it through, edges first.', {
        stage: 'shape',
        place: 'on-template',
        stroke: 'edges-first',
        depth: 'through',
        minutes: 5,
      }),
      step('Fold the edges in along the line, turn it over, and felt from the other side.', {
        act: { kind: 'felt' },
        stage: 'shape',
        place: 'on-template',
        stroke: 'straight-down',
        depth: 'through',
        minutes: 4,
        cue: 'it stands up by itself when held at one end',
      }),
    ],
    rights,
  },
  {
    name: 'Wound ball',
    about: 'A firm ball from odd ends of yarn or core.',
    parameters: [{ key: 'size', name: 'across, when felted', standard: '40 mm' }],
    steps: [
      step('Wind it tight in all directions to a third more than {size}.', {
        stage: 'core',
        place: 'in-hand',
        needle: { by: 'none' },
        minutes: 4,
      }),
      step('Felt it round and round to {size}, aiming at the middle.', {
        act: { kind: 'felt' },
        stage: 'core',
        place: 'on-surface',
        stroke: 'toward-centre',
        depth: 'half',
        minutes: 15,
        cue: 'it springs back',
      }),
    ],
    rights,
  },
  {
    name: 'Hanger',
    about: 'A cord that carries the figure, sewn in before the coat that hides it.',
    parameters: [{ key: 'drop', name: 'how far it hangs', standard: '300 mm' }],
    steps: [
      step('Thread a cord of {drop}, doubled, through the crown, and knot it on a wisp inside.', {
        act: { kind: 'sew' },
        stage: 'core',
        needle: { by: 'none' },
        minutes: 5,
        checks: [
          {
            id: 'hanger-check',
            look: 'the figure',
            how: 'held by the cord',
            pass: 'it hangs level',
            remedy: 'move the cord before you coat it',
            returnToStepId: null,
          },
        ],
      }),
    ],
    rights,
  },
];
