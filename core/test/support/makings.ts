import { blankMaking, blankMakingLine, type Making, type MakingLine } from '../../src/logbook/index.ts';

/** A making of a pattern, with what matters of it. */
export const making = (id: string, more: Partial<Making> = {}): Making => ({
  ...blankMaking('A sample', '2026-10-01'),
  id,
  version: 1,
  patternId: 'pattern',
  isDone: true,
  ...more,
});

/** A bag of one fibre before and after. */
export const bag = (
  id: string,
  fibreId: string,
  beforeG: number,
  afterG: number,
  more: Partial<MakingLine> = {},
): MakingLine => blankMakingLine(id, { of: 'fibre', fibreId, beforeG, afterG, ...more });
