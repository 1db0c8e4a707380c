import { showTypedLength } from '../base/index.ts';
import type { FieldChange, PatternChange } from '../pattern/index.ts';

/** What a key of the document is called. Those that are plain words already are left out. */
const KEY_WORDS: Readonly<Record<string, string>> = {
  finishedHeight: 'finished height',
  levelReason: 'reason of the level',
  joinsApart: 'join wool apart',
  sidesSeen: 'left and right',
  partIds: 'parts',
  joinIds: 'joins',
  fibreId: 'fibre',
  findingId: 'finding',
  toItemId: 'taken instead',
  massG: 'grams',
  highG: 'at most, grams',
  lotG: 'grams of the lot',
  looseEnd: 'loose end',
  isIfNeeded: 'only if needed',
  stageNeedles: 'needle of the stage',
  school: 'needle school',
  thickEnd: 'thick end',
  thinEnd: 'thin end',
  defaultValueId: 'unless chosen otherwise',
  recallsStepId: 'recalls',
  untilStepId: 'until',
  firstStepId: 'first step',
  gPerM2: 'g per m²',
};

const KIND_WORDS: Readonly<Record<PatternChange['kind'], string>> = {
  part: 'Part',
  join: 'Join',
  material: 'Material',
  step: 'Step',
  option: 'Option',
  colourway: 'Colourway',
  swap: 'Swap',
  session: 'Session',
  heading: 'About',
};

const DONE_WORDS: Readonly<Record<PatternChange['change'], string>> = {
  added: 'is new',
  removed: 'is gone',
  moved: 'is at another place',
  changed: '',
};

/** Part Wing, Step 4, About. */
export const changeTitle = ({ kind, name, change }: PatternChange): string =>
  [KIND_WORDS[kind], name, DONE_WORDS[change]].filter((word) => word !== '').join(' ');

/** @param nameOf what an id of the shelf or the pattern is called; null where it is none */
export function fieldWords(
  { path, before, after }: FieldChange,
  nameOf: (id: string) => string | null,
): string {
  const key = path.filter(
    (word) => nameOf(word) === null && !/^\d+$/.test(word) && !LOOKS_LIKE_ID.test(word),
  );
  const words = key
    .map((word) => KEY_WORDS[word] ?? word.replaceAll(/([A-Z])/g, ' $1').toLowerCase())
    .join(', ');
  const owner = path.map(nameOf).find((name) => name !== null);
  const label = [owner, words].filter((word) => word !== undefined && word !== null && word !== '').join(' ');
  const [was, is] =
    typeof before === 'string' && typeof after === 'string'
      ? fromTheirDifference(before, after)
      : [before, after];
  return `${label}: ${valueWords(was, nameOf)} → ${valueWords(is, nameOf)}`;
}

/** So much of what two long texts have in common is shown before they part. */
const SHOWN_IN_COMMON = 20;

/** Two texts from a little before where they part: of long ones the beginnings tell nothing. */
function fromTheirDifference(before: string, after: string): [string, string] {
  let common = 0;
  while (common < before.length && common < after.length && before[common] === after[common]) common += 1;
  const from = common <= 2 * SHOWN_IN_COMMON ? 0 : before.lastIndexOf(' ', common - SHOWN_IN_COMMON) + 1;
  return from <= 0 ? [before, after] : [`…${before.slice(from)}`, `…${after.slice(from)}`];
}

/** Made by us, never by hand: nobody wants to read it. */
const LOOKS_LIKE_ID = /^(?=.*\d)[A-Za-z0-9_-]{8,}$/;

function valueWords(value: unknown, nameOf: (id: string) => string | null): string {
  if (value === null || value === '') return 'not said';
  if (typeof value === 'string')
    return nameOf(value) ?? (value.length > 60 ? `“${value.slice(0, 57)}…”` : `“${value}”`);
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value === 'number') return String(value);
  if (Array.isArray(value))
    return value.length === 0 ? 'none' : value.map((element) => valueWords(element, nameOf)).join(', ');
  if (typeof value === 'object' && 'unit' in value && 'value' in value) {
    return showTypedLength(value as Parameters<typeof showTypedLength>[0]);
  }
  return 'something else';
}
