import { expect, test } from '@jest/globals';
import { BLANK_FIBRE, blankLot, type Fibre, toCount } from '../../src/shelf/index.ts';

const fibre = (id: string, more: Partial<Fibre> = {}): Fibre => ({
  ...BLANK_FIBRE,
  id,
  name: id,
  version: 1,
  onHandG: null,
  peakG: 0,
  lots: [],
  ...more,
});
const lot = (id: string, onHandG: number | null) => ({
  ...blankLot(id),
  id,
  version: 1,
  onHandG,
  place: 'bin 1',
});

test('each drawer once: a fibre by its lots, what is archived not at all, what was never counted as unknown', () => {
  const drawers = toCount({
    fibres: [
      fibre('chalk', { lots: [lot('winter', 340), lot('summer', null)] }),
      fibre('no lot'),
      fibre('old', { archived: true, lots: [lot('last', 4)] }),
    ],
    blends: [],
    findings: [],
    needles: [],
    tools: [],
  });
  expect(
    drawers.map(({ itemId, lotId, onHand, unit, place }) => [itemId, lotId, onHand, unit, place]),
  ).toEqual([
    ['chalk', 'winter', 340, 'g', 'bin 1'],
    ['chalk', 'summer', null, 'g', 'bin 1'],
  ]);
});
