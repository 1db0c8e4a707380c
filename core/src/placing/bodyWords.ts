/** What a piece is of a figure, told by what it is called. */
export type BodyWord =
  'head' | 'ear' | 'leg' | 'foot' | 'arm' | 'wing' | 'tail' | 'beak' | 'eye' | 'cheek' | 'top' | 'leaf';

/** In this order: an eyebrow is no eye, and a forearm no arm of a chair. */
const WORDS: readonly (readonly [BodyWord, RegExp])[] = [
  ['eye', /\beyes?\b|\beyeballs?\b|\beye bumps?\b/],
  ['ear', /\bears?\b|\bhorns?\b|\bantlers?\b|\bantennae?\b|\bfeelers?\b/],
  ['cheek', /\bcheeks?\b|\bblush\b/],
  ['beak', /\bbeak\b|\bbill\b|\bsnout\b|\bmuzzle\b|\bnose\b|\btrunk\b/],
  ['foot', /\bfoot\b|\bfeet\b|\bpaws?\b|\bhoo(f|ves|fs)\b|\bshoes?\b|\bboots?\b/],
  ['leg', /\blegs?\b|\bhind ?legs?\b|\bforelegs?\b/],
  ['arm', /\barms?\b|\bforearms?\b/],
  ['wing', /\bwings?\b|\bfins?\b|\bflippers?\b/],
  ['tail', /\btail\b|\bscut\b/],
  ['leaf', /\blea(f|ves)\b|\bpetals?\b/],
  ['top', /\bhat\b|\bcap\b|\bcrown\b|\bcomb\b|\btuft\b|\bhair\b|\bbow\b|\bstalk\b|\bstem\b|\bbobble\b/],
  ['head', /\bhead\b/],
];

/** Null: nothing is known of such a name. */
export const takesWords = (name: string): BodyWord | null =>
  WORDS.find(([, words]) => words.test(name.toLowerCase()))?.[0] ?? null;
