import type { Learnt } from './learnt.ts';

/** Of what was learnt only what these fibres weigh by: for somebody who sees nothing else of the studio. */
export const learntOfFibres = (learnt: Learnt, fibreIds: ReadonlySet<string>): Learnt => {
  const ofThese = <T extends { readonly fibreId: string }>(rows: readonly T[]) =>
    rows.filter(({ fibreId }) => fibreIds.has(fibreId));
  return {
    ...learnt,
    felted: ofThese(learnt.felted),
    hiding: ofThese(learnt.hiding),
    hair: ofThese(learnt.hair),
    skills: [],
    acts: [],
    pace: { ln: 0, sigma: 0, samples: 0 },
  };
};
