import type { Promised } from '@lanakit/core/api';
import {
  type Blend,
  drawerOf,
  type Fibre,
  type Finding,
  hueChroma,
  lightness,
  type Needle,
  needleName,
  type StockUnit,
  type Supplier,
  type Tool,
  unitOfFinding,
} from '@lanakit/core/shelf';
import {
  FIBRE_FLAG_WORDS,
  FINDING_FLAG_WORDS,
  PREPARATION_WORDS,
  PROVISION_WORDS,
  SORT_WORDS,
  TOOL_SORT_WORDS,
} from '@lanakit/core/words';
import type { Woolly } from '../ui/look/fibreTile.ts';
import { counted } from '../words/show.ts';

export type Item =
  | { readonly kind: 'fibre'; readonly thing: Fibre }
  | { readonly kind: 'blend'; readonly thing: Blend }
  | { readonly kind: 'finding'; readonly thing: Finding }
  | { readonly kind: 'needle'; readonly thing: Needle }
  | { readonly kind: 'tool'; readonly thing: Tool }
  | { readonly kind: 'supplier'; readonly thing: Supplier };

/** One thing on the shelf as a list shows it, finds it and sorts it. */
export interface Entry {
  readonly id: string;
  readonly item: Item;
  readonly name: string;
  readonly sub: string;
  /** All that a search may find it by, in lower case. */
  readonly words: string;
  readonly place: string;
  /** What it stands with when sorted by kind. */
  readonly sort: string;
  readonly colour: string | null;
  readonly unit: StockUnit | null;
  readonly onHand: number | null;
  readonly peak: number;
  /** What runs ahead will take. */
  readonly promised: number;
  /** What of that is not there. */
  readonly short: number;
  readonly priceMinor: number | null;
  readonly isArchived: boolean;
  readonly wool: (Woolly & { readonly name: string }) | null;
}

const wordsOf = (...parts: readonly (string | readonly string[])[]): string =>
  parts.flat().join(' ').toLowerCase();

const placesOf = (lots: Fibre['lots']): string =>
  [...new Set(lots.map((lot) => lot.place.trim()).filter((place) => place !== ''))].join(', ');

export function fibreEntry(fibre: Fibre, promisedG: number): Entry {
  const sub = PREPARATION_WORDS[fibre.preparation];
  const place = placesOf(fibre.lots);
  return {
    id: fibre.id,
    item: { kind: 'fibre', thing: fibre },
    name: fibre.name,
    sub,
    words: wordsOf(
      fibre.name,
      fibre.otherNames,
      fibre.kind,
      sub,
      place,
      fibre.note,
      fibre.flags.map((flag) => FIBRE_FLAG_WORDS[flag]),
      fibre.lots.map((lot) => `${lot.name} ${lot.note}`),
    ),
    place,
    sort: sub,
    colour: fibre.colour,
    unit: 'g',
    onHand: fibre.onHandG,
    peak: fibre.peakG,
    promised: promisedG,
    short: drawerOf(fibre.onHandG, fibre.peakG, promisedG)?.short ?? 0,
    priceMinor: fibre.pricePer100gMinor,
    isArchived: fibre.archived,
    wool: fibre,
  };
}

/** @param strands the colours and shares of its fibres */
export function blendEntry(blend: Blend, promisedG: number, strands: Woolly['strands']): Entry {
  const place = placesOf(blend.lots);
  const colour = blend.asFibre?.colour ?? null;
  return {
    id: blend.id,
    item: { kind: 'blend', thing: blend },
    name: blend.name,
    sub: `blend of ${blend.parts.length}`,
    words: wordsOf(
      blend.name,
      blend.otherNames,
      'blend',
      PREPARATION_WORDS[blend.preparation],
      place,
      blend.note,
    ),
    place,
    sort: 'blends',
    colour,
    unit: 'g',
    onHand: blend.onHandG,
    peak: blend.peakG,
    promised: promisedG,
    short: drawerOf(blend.onHandG, blend.peakG, promisedG)?.short ?? 0,
    priceMinor: blend.asFibre?.pricePer100gMinor ?? null,
    isArchived: blend.archived,
    wool:
      colour === null
        ? null
        : { name: blend.name, preparation: blend.preparation, colour, ...(strands && { strands }) },
  };
}

export function findingEntry(finding: Finding, promised: Promised | undefined): Entry {
  const { measure } = finding;
  return {
    id: finding.id,
    item: { kind: 'finding', thing: finding },
    name: finding.name,
    sub: SORT_WORDS[measure.sort],
    words: wordsOf(
      finding.name,
      finding.otherNames,
      SORT_WORDS[measure.sort],
      finding.place,
      finding.note,
      finding.flags.map((flag) => FINDING_FLAG_WORDS[flag]),
    ),
    place: finding.place,
    sort: SORT_WORDS[measure.sort],
    colour: finding.colour,
    unit: unitOfFinding(measure),
    onHand: finding.onHand,
    peak: finding.peak,
    promised: promised?.amount ?? 0,
    short: promised?.short ?? 0,
    priceMinor: finding.priceMinor,
    isArchived: finding.archived,
    wool: null,
  };
}

export function needleEntry(needle: Needle, promised: Promised | undefined): Entry {
  const name = needleName(needle);
  return {
    id: needle.id,
    item: { kind: 'needle', thing: needle },
    name,
    sub: needle.reachMm === null ? 'reach unknown' : `reach ${needle.reachMm} mm`,
    words: wordsOf(name, 'needle', needle.place, needle.note),
    place: needle.place,
    sort: 'needles',
    colour: needle.mark?.colour ?? null,
    unit: 'piece',
    onHand: needle.onHand,
    peak: needle.peak,
    promised: promised?.amount ?? 0,
    short: promised?.short ?? 0,
    priceMinor: needle.priceMinor,
    isArchived: needle.archived,
    wool: null,
  };
}

export function toolEntry(tool: Tool, promised: Promised | undefined): Entry {
  const takes = tool.needles === null ? '' : `${counted(tool.needles, 'needle')}, `;
  return {
    id: tool.id,
    item: { kind: 'tool', thing: tool },
    name: tool.name,
    sub: `${takes}${PROVISION_WORDS[tool.provision]}`,
    words: wordsOf(tool.name, TOOL_SORT_WORDS[tool.sort], tool.place, tool.note),
    place: tool.place,
    sort: `${TOOL_SORT_WORDS[tool.sort]}s`,
    colour: null,
    unit: 'piece',
    onHand: tool.onHand,
    peak: tool.peak,
    promised: promised?.amount ?? 0,
    short: promised?.short ?? 0,
    priceMinor: tool.priceMinor,
    isArchived: tool.archived,
    wool: null,
  };
}

export function supplierEntry(supplier: Supplier): Entry {
  const days = supplier.leadDays === null ? '' : `, ${counted(supplier.leadDays, 'day')} to come`;
  return {
    id: supplier.id,
    item: { kind: 'supplier', thing: supplier },
    name: supplier.name,
    sub: `${counted(supplier.offers.length, 'pack')}${days}`,
    words: wordsOf(supplier.name, 'supplier', supplier.note),
    place: '',
    sort: 'suppliers',
    colour: null,
    unit: null,
    onHand: null,
    peak: 0,
    promised: 0,
    short: 0,
    priceMinor: null,
    isArchived: supplier.archived,
    wool: null,
  };
}

export type Shown = 'all' | 'short' | 'uncounted' | 'archived';
export type SortBy = 'name' | 'colour' | 'onHand' | 'promised' | 'price' | 'place' | 'sort';
export type GroupBy = 'none' | 'sort' | 'place' | 'colour';

export interface Looking {
  readonly text: string;
  readonly shown: Shown;
  /** Of these sorts only; none means all. */
  readonly sorts: readonly string[];
  readonly sortBy: SortBy;
  readonly isDescending: boolean;
  readonly groupBy: GroupBy;
}

/** All of them in order; apart from looking through them, so that a key in the search sorts nothing anew. */
export function inOrder(
  entries: readonly Entry[],
  { sortBy, isDescending }: Pick<Looking, 'sortBy' | 'isDescending'>,
): Entry[] {
  const compare = COMPARE[sortBy];
  return [...entries].sort((a, b) => (isDescending ? compare(b, a) : compare(a, b)) || byName(a, b));
}

/** What is looked for, in the order given. Every word must be found somewhere in the thing. */
export function lookThrough(
  entries: readonly Entry[],
  looking: Pick<Looking, 'text' | 'shown' | 'sorts'>,
): Entry[] {
  const words = looking.text
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return entries.filter(
    (entry) =>
      isShown(entry, looking.shown) &&
      (looking.sorts.length === 0 || looking.sorts.includes(entry.sort)) &&
      words.every((word) => entry.words.includes(word)),
  );
}

function isShown({ isArchived, onHand, short }: Entry, shown: Shown): boolean {
  if (shown === 'archived') return isArchived;
  if (isArchived) return false;
  if (shown === 'short') return short > 0;
  return shown === 'all' || onHand === null;
}

/** One collator for all: localeCompare makes its own each time, which a long shelf feels. */
const { compare: inWords } = new Intl.Collator(undefined, { numeric: true });
const byName = (a: Entry, b: Entry): number => inWords(a.name, b.name) || inWords(a.sub, b.sub);
/** What is unknown comes before the least. */
const known = (value: number | null): number => value ?? -1;

const COMPARE: Readonly<Record<SortBy, (a: Entry, b: Entry) => number>> = {
  name: byName,
  colour: (a, b) => huePlace(a.colour) - huePlace(b.colour),
  onHand: (a, b) => known(a.onHand) - known(b.onHand),
  promised: (a, b) => a.promised - b.promised,
  price: (a, b) => known(a.priceMinor) - known(b.priceMinor),
  place: (a, b) => inWords(a.place, b.place),
  sort: (a, b) => inWords(a.sort, b.sort),
};

/** Chroma under which a colour is a grey to the eye. */
const GREY_CHROMA = 9;
const hues = new Map<string, number>();

/** Round the colour circle, greys first from pale to dark. */
function huePlace(colour: string | null): number {
  if (colour === null) return -1000;
  const found = hues.get(colour);
  if (found !== undefined) return found;
  const { chroma, hueDeg } = hueChroma(colour);
  const place = chroma < GREY_CHROMA ? -lightness(colour) : hueDeg;
  hues.set(colour, place);
  return place;
}

const FAMILIES: readonly (readonly [untilDeg: number, name: string])[] = [
  [20, 'pinks and reds'],
  [70, 'oranges and browns'],
  [105, 'yellows'],
  [165, 'greens'],
  [250, 'blues and teals'],
  [310, 'blues and violets'],
  [345, 'purples'],
  [361, 'pinks and reds'],
];

function familyOf(colour: string | null): string {
  if (colour === null) return 'no colour';
  const { chroma, hueDeg } = hueChroma(colour);
  if (chroma < GREY_CHROMA) return 'whites, greys and blacks';
  return FAMILIES.find(([untilDeg]) => hueDeg < untilDeg)?.[1] ?? 'pinks and reds';
}

export interface Group {
  readonly name: string;
  readonly entries: readonly Entry[];
}

/** The entries on their shelves, each in the order it had; shelves in the order of their names. */
export function groupsOf(entries: readonly Entry[], by: GroupBy): Group[] {
  if (by === 'none') return [{ name: '', entries }];
  const nameOf = (entry: Entry) =>
    by === 'sort' ? entry.sort : by === 'place' ? entry.place || 'no place yet' : familyOf(entry.colour);
  const groups = new Map<string, Entry[]>();
  for (const entry of entries) {
    const group = groups.get(nameOf(entry)) ?? [];
    group.push(entry);
    groups.set(nameOf(entry), group);
  }
  return [...groups]
    .map(([name, group]) => ({ name, entries: group }))
    .sort((a, b) => inWords(a.name, b.name));
}
