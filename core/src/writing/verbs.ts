/** Words that tell what is needed for a step or what can happen in it. Ours, in English, whole words. */
const VERBS = {
  cut: ['cut', 'snip', 'trim', 'clip', 'scissors', 'shear'],
  sew: ['sew', 'stitch', 'thread'],
  glue: ['glue', 'stick', 'glued'],
  heat: ['iron', 'steam', 'hot', 'singe', 'boil'],
  wire: ['wire', 'twist', 'bend', 'curl the ends', 'stem'],
  pin: ['pin', 'pins', 'pinned'],
  wet: ['wet', 'damp', 'soap', 'water'],
  weigh: ['weigh', 'weighing', 'scale', 'grams'],
  measure: ['measure', 'ruler', 'mm', 'cm'],
  guide: ['outline', 'guide', 'template', 'dashed'],
  pencil: ['pencil', 'mark', 'draw round'],
} as const satisfies Record<string, readonly string[]>;

export type Verb = keyof typeof VERBS;

const MATCHERS = Object.fromEntries(
  Object.entries(VERBS).map(([verb, words]) => [verb, new RegExp(`\\b(?:${words.join('|')})\\b`, 'i')]),
) as Record<Verb, RegExp>;

/** Whether a step’s words speak of it. */
export const hasVerb = (text: string, verb: Verb): boolean => MATCHERS[verb].test(text);
