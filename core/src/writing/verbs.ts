/** Words that tell what is needed for a step or what can happen in it. Ours, in English, whole words. */
const VERBS = {
  cut: ['cut', 'snip', 'trim', 'shear', 'scissors'],
  sew: ['sew', 'sewn', 'stitch', 'thread'],
  glue: ['glue', 'glued', 'gluing'],
  // Not iron-grey, nor an iron will.
  heat: [
    'iron(?= (?:it|them|the|flat|on|over))',
    'ironed',
    'steam',
    'singe',
    'boil',
    'boiling',
    'hot (?:glue|water|iron)',
  ],
  wire: ['wire', 'twist', 'bend', 'curl the ends', 'stem'],
  pin: ['pin', 'pins', 'pinned'],
  wet: ['wet', 'damp', 'soap', 'water'],
  weigh: ['weigh', 'weighing', 'on the scales?', 'kitchen scale'],
  measure: ['measure', 'ruler'],
  guide: ['outline', 'guide', 'template', 'dashed'],
  pencil: ['pencil', 'mark (?:it|the|where|both|each|with)', 'draw round'],
  tape: ['tape', 'taped'],
} as const satisfies Record<string, readonly string[]>;

export type Verb = keyof typeof VERBS;

const MATCHERS = Object.fromEntries(
  Object.entries(VERBS).map(([verb, words]) => [verb, new RegExp(`\\b(?:${words.join('|')})\\b(?!-)`, 'i')]),
) as Record<Verb, RegExp>;

/** Whether a step’s words speak of it. */
export const hasVerb = (text: string, verb: Verb): boolean => MATCHERS[verb].test(text);
