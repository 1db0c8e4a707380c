import { BLANK_STEP, type Pattern, type Step } from '@lanakit/core/pattern';
import type { DemoShelf } from '../write.ts';
import { beetle } from './beetle.ts';

/** What was written over a step late in the evening. */
const WRITTEN_OVER: Readonly<Record<string, (step: Step) => Step>> = {
  jaws: (step) => ({ ...step, text: `${step.text} The left one first.` }),
  'jaws-on': (step) => ({ ...step, checks: step.checks.map((check) => ({ ...check, remedy: '' })) }),
  legs: (step) => ({
    ...step,
    text: 'Eight legs of soot, straight onto the sheet. The length is as you like.',
  }),
  trim: (step) => ({ ...step, checks: [] }),
  feelers: (step) => ({ ...step, minutes: null }),
  'pin-sew': (step) => ({ ...step, cautions: { ...step.cautions, dismissed: ['small-part'] } }),
  'magnets-on': (step) => ({ ...step, text: 'Or sew two pockets of sheet onto the back.' }),
  set: (step) => ({ ...step, waiting: null }),
  edge: (step) => ({ ...step, text: `${step.text} The green needle leaves no holes.` }),
};

/**
 * The beetle as its author has it on the table: broader legs are being tried, another wool for the jaws, and a dozen things
 * that a reader would stumble over are still in it.
 */
export function beetleBeingChanged(shelf: DemoShelf): Pattern {
  const whole = beetle(shelf);
  return {
    ...whole,
    sidesSeen: null,
    parts: whole.parts.map((part) => {
      if (part.name === 'Leg' && part.shape.kind === 'limb') {
        return { ...part, shape: { ...part.shape, diameter: null } };
      }
      if (part.name !== 'Jaw') return part;
      return {
        ...part,
        uses: part.uses.map((use) => (use.role === 'core' ? { ...use, fibreId: null } : use)),
      };
    }),
    steps: [
      ...whole.steps.map((step) => WRITTEN_OVER[step.id]?.(step) ?? step),
      {
        ...BLANK_STEP,
        id: 'card',
        stage: 'finish',
        minutes: 2,
        needle: { by: 'none' },
        act: { kind: 'make' },
      },
    ],
    colourways: whole.colourways.map((colourway) => ({ ...colourway, fills: [] })),
  };
}
