import type { WayToBegin } from '../ways/Ways.tsx';
import { type GroupBy } from './entries.ts';
import { type Section } from './useEntries.ts';

export const SECTION_WORDS: Readonly<Record<Section, string>> = {
  wool: 'Wool',
  findings: 'Findings',
  tools: 'Needles & tools',
  suppliers: 'Suppliers',
};
export const COUNTED_AS: Readonly<Record<Section, readonly [singular: string, plural: string]>> = {
  wool: ['fibre or blend', 'fibres and blends'],
  findings: ['finding', 'findings'],
  tools: ['needle or tool', 'needles and tools'],
  suppliers: ['supplier', 'suppliers'],
};
/** Small things are known by the tin they lie in, everything else by what it is. */
export const GROUPED_BY: Readonly<Record<Section, GroupBy>> = {
  wool: 'sort',
  findings: 'place',
  tools: 'sort',
  suppliers: 'none',
};
/** What else fills a section than writing things down one by one. */
export const EMPTY_WAYS: Readonly<Record<Section, readonly WayToBegin[]>> = {
  wool: ['shelf', 'list', 'demo'],
  findings: ['shelf', 'list'],
  tools: ['shelf', 'list'],
  suppliers: ['list'],
};
export const EMPTY_WORDS: Readonly<Record<Section, string>> = {
  wool: 'Put the wool you have here: its name, how it was prepared, its colour, and how many grams. Three fibres are enough for a first figure: one for cores and two to be seen.',
  findings:
    'Eyes, beads, wire, pin backs, ribbon, glue: anything on a figure that is not felted belongs here.',
  tools: 'Your needles by gauge and mark, your holders, pads and tools belong here.',
  suppliers: 'Who you buy from, in which packs, at what price and on what terms belongs here.',
};
