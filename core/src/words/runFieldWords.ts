import type { RunInput } from '../run/index.ts';

/** What undo calls a change of a run, by what of it was changed. */
const RUN_FIELD_WORDS: Readonly<Record<keyof RunInput, string>> = {
  kind: 'what it is',
  name: 'the name',
  date: 'the day',
  seats: 'how many come',
  sparePacks: 'how many spares',
  spareFraction: 'how many spares',
  revisionId: 'what is made',
  recipes: 'the boxes',
  scaleStepG: 'what the scale reads to',
  extraFraction: 'how much more is packed',
  weighingLossFraction: 'what weighing loses',
  seatsPerTable: 'how many sit at a table',
  skill: 'how practised they are',
  needleRiskFraction: 'how sure of needles',
  wantedChance: 'how sure it is',
  toleranceFraction: 'what is called short',
  rangesAt: 'which end of a range is packed',
  toBagFraction: 'the bag for all',
  roster: 'who comes',
  chooseBy: 'until when seats choose',
  undecidedChance: 'colours for who has not chosen',
  swapIds: 'what is swapped for all',
  findingSpares: 'spares of things',
  demonstrations: 'demonstrations',
  hasStageSamples: 'half-made samples',
  bagging: 'how it is bagged',
  ownBags: 'own bags',
  isBaggedByDesign: 'how it is bagged',
  rightsReason: 'why it goes on',
  cost: 'what it costs',
  plan: 'the plan of the day',
  learnerDays: 'how long learners may open their pattern',
};

/** Of several fields changed in one go the first that is not only a sum of the others: boxes, not how many they come to. */
export function changeOfRunWords(fields: readonly (keyof RunInput)[]): string {
  const [first] = [...fields].sort((a, b) => Number(SUMS.has(a)) - Number(SUMS.has(b)));
  return first === undefined ? 'nothing' : RUN_FIELD_WORDS[first];
}

const SUMS: ReadonlySet<keyof RunInput> = new Set(['seats', 'sparePacks', 'spareFraction', 'revisionId']);
