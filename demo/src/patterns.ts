export { balloon } from './figures/balloon.ts';
export { beetle } from './figures/beetle.ts';
export { beetleBeingChanged } from './figures/beetleDraft.ts';
export { octopus } from './figures/octopus.ts';
export { pear } from './figures/pear.ts';
export { puffin } from './figures/puffin.ts';
