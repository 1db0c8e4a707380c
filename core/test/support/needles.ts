import type { NeedleFacts, StepFacts } from '../../src/needles/index.ts';
import { BLANK_NEEDLE, BLANK_TOOL, type Needle, type Tool, type ToolInput } from '../../src/shelf/index.ts';

/** A step of which nothing is known that would matter to a needle. */
export const facts = (more: Partial<StepFacts> = {}): StepFacts => ({
  stepId: 's',
  stage: 'core',
  act: 'felt',
  task: 'build',
  depth: null,
  holder: 1,
  firmnessBefore: null,
  firmnessAfter: null,
  acrossMm: null,
  detailMm: null,
  reachNeededMm: null,
  isThinFlat: false,
  isVisible: false,
  behind: { sheet: false, wire: false, glass: false },
  fineness: new Set(),
  ...more,
});

export const needleFacts = (gauge: number | null, more: Partial<NeedleFacts> = {}): NeedleFacts => ({
  gauge,
  profile: null,
  reachMm: null,
  ...more,
});

/** A needle of the shelf, ten of it. */
export const needle = (id: string, more: Partial<Needle> = {}): Needle => ({
  ...BLANK_NEEDLE,
  id,
  version: 1,
  onHand: 10,
  peak: 10,
  profile: 'triangular',
  priceMinor: 50,
  mark: { word: id, colour: '#123456' },
  ...more,
});

export const holder = (needles: number, more: Partial<ToolInput & { onHand: number | null }> = {}): Tool => ({
  ...BLANK_TOOL,
  id: `holder-${needles}`,
  version: 1,
  name: `holder for ${needles}`,
  sort: 'holder',
  needles,
  provision: 'table',
  onHand: 5,
  peak: 5,
  ...more,
});
