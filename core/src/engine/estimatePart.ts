import type { Part } from '../pattern/index.ts';
import { estimatePattern, type WoolOfPattern } from './estimatePattern.ts';
import type { PartEstimate } from './partEstimate.ts';
import type { Wool } from './wool.ts';

const NOTHING_ELSE: Omit<WoolOfPattern, 'parts'> = {
  joins: [],
  joinsApart: false,
  cuts: [],
  findings: [],
  shared: [],
  weighedMakeG: null,
  lengthUnit: 'mm',
  stance: null,
};

/** The wool of one part alone. Never throws: what cannot be worked out is unknown, with its reason. */
export function estimatePart(part: Part, wool: Wool): PartEstimate {
  const [partEstimate] = estimatePattern({ ...NOTHING_ELSE, parts: [part] }, wool).parts;
  if (!partEstimate) throw new Error('a pattern of one part has one');
  return partEstimate;
}
