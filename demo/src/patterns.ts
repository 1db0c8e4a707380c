import type { Pattern } from '@lanakit/core/pattern';
import { beetle } from './figures/beetle.ts';
import type { DemoShelf } from './write.ts';

export { balloon } from './figures/balloon.ts';
export { beetle } from './figures/beetle.ts';
export { octopus } from './figures/octopus.ts';
export { pear } from './figures/pear.ts';
export { puffin } from './figures/puffin.ts';

/** The beetle as its author has it on the table: broader legs are being tried, and another wool for the jaws. */
export function beetleBeingChanged(shelf: DemoShelf): Pattern {
  const whole = beetle(shelf);
  return {
    ...whole,
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
  };
}
