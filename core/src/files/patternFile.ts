import { Id, strict } from '../base/index.ts';
import {
  fibresUsed,
  findingReferences,
  needleOf,
  PATTERN_FORMAT,
  Pattern,
  type PatternOfAnyFormat,
  upgradePattern,
} from '../pattern/index.ts';
import {
  colourDifference,
  distinctNeedles,
  type Fibre,
  FibreInput,
  type Finding,
  FindingInput,
  isOfSort,
  type Needle,
  NeedleInput,
  needleName,
} from '../shelf/index.ts';
import { Type, type Static } from '@sinclair/typebox';

const carried = <T extends typeof FibreInput | typeof FindingInput | typeof NeedleInput>(input: T) =>
  Type.Object({ id: Id, is: input }, strict);

/** A pattern on its way to another shelf, with what it relies on there. */
export const PatternFile = Type.Object(
  {
    format: Type.Literal('lanakit-pattern-file'),
    formatVersion: Type.Literal(1),
    pattern: Pattern,
    shelf: Type.Object(
      {
        fibres: Type.Array(carried(FibreInput), { maxItems: 500 }),
        findings: Type.Array(carried(FindingInput), { maxItems: 500 }),
        needles: Type.Array(carried(NeedleInput), { maxItems: 100 }),
      },
      strict,
    ),
  },
  strict,
);
export interface PatternFile {
  readonly format: 'lanakit-pattern-file';
  readonly formatVersion: 1;
  readonly pattern: Pattern;
  readonly shelf: {
    readonly fibres: readonly Carried<FibreInput>[];
    readonly findings: readonly Carried<FindingInput>[];
    readonly needles: readonly Carried<Static<typeof NeedleInput>>[];
  };
}

/** One thing of the sender’s shelf: what it is, not how much of it there is or where it lies. */
export interface Carried<T> {
  readonly id: string;
  readonly is: T;
}

/** What a file is carried from or mapped onto. */
export interface PlainShelf {
  readonly fibres: readonly Fibre[];
  readonly findings: readonly Finding[];
  readonly needles: readonly Needle[];
}

/** Prices, places and notes are the sender’s own business. */
const bare = <T extends object>(input: T, keys: readonly string[], blanks: Partial<T>): T =>
  ({ ...Object.fromEntries(Object.entries(input).filter(([key]) => keys.includes(key))), ...blanks }) as T;

const keysOf = (schema: { properties: object }): string[] => Object.keys(schema.properties);

/** A pattern with the properties of every fibre, finding and needle it names. */
export function patternFile(pattern: Pattern, { fibres, findings, needles }: PlainShelf): PatternFile {
  const fibreIds = new Set(fibresUsed(pattern));
  const findingIds = new Set(findingReferences(pattern).map(({ findingId }) => findingId));
  const wanted = distinctNeedles(pattern.steps.flatMap((step) => needleOf(step, pattern) ?? []));
  return {
    format: 'lanakit-pattern-file',
    formatVersion: 1,
    pattern,
    shelf: {
      fibres: fibres
        .filter(({ id }) => fibreIds.has(id))
        .map((fibre) => ({
          id: fibre.id,
          is: bare<FibreInput>(fibre, keysOf(FibreInput), {
            pricePer100gMinor: null,
            note: '',
            archived: false,
          }),
        })),
      findings: findings
        .filter(({ id }) => findingIds.has(id))
        .map((finding) => ({
          id: finding.id,
          is: bare<FindingInput>(finding, keysOf(FindingInput), {
            priceMinor: null,
            place: '',
            note: '',
            archived: false,
          }),
        })),
      needles: needles
        .filter((needle) => wanted.some((candidate) => isOfSort(needle, candidate)))
        .map((needle) => ({
          id: needle.id,
          is: bare(needle, keysOf(NeedleInput), { priceMinor: null, place: '', note: '', archived: false }),
        })),
    },
  };
}

/** Newest formats this reads. */
export const NEWEST = { pattern: PATTERN_FORMAT, file: 1 } as const;

type FileRefusal =
  | { readonly code: 'not_json' }
  | { readonly code: 'not_a_pattern' }
  | { readonly code: 'newer'; readonly version: number; readonly newest: number };

export type FoundFile =
  { readonly ok: true; readonly value: unknown } | { readonly ok: false; readonly refusal: FileRefusal };

/**
 * The document in a text, brought forward to the format of today and not yet checked against its schema. A bare pattern
 * counts as a file that carries no shelf.
 */
export function findPatternFile(text: string): FoundFile {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return { ok: false, refusal: { code: 'not_json' } };
  }
  if (!isObject(value)) return { ok: false, refusal: { code: 'not_a_pattern' } };
  if (value['format'] === 'lanakit-pattern') {
    return broughtForward({
      format: 'lanakit-pattern-file',
      formatVersion: 1,
      pattern: value,
      shelf: EMPTY_SHELF,
    });
  }
  return value['format'] === 'lanakit-pattern-file'
    ? broughtForward(value)
    : { ok: false, refusal: { code: 'not_a_pattern' } };
}

const EMPTY_SHELF = { fibres: [], findings: [], needles: [] };

function broughtForward(file: Readonly<Record<string, unknown>>): FoundFile {
  const { pattern, formatVersion } = file;
  if (!isObject(pattern) || !Array.isArray(pattern['parts']) || !Array.isArray(pattern['steps'])) {
    return { ok: false, refusal: { code: 'not_a_pattern' } };
  }
  for (const [version, newest] of [
    [formatVersion, NEWEST.file],
    [pattern['formatVersion'], NEWEST.pattern],
  ] as const) {
    if (typeof version !== 'number' || version < 1) return { ok: false, refusal: { code: 'not_a_pattern' } };
    if (version > newest) return { ok: false, refusal: { code: 'newer', version, newest } };
  }
  try {
    return {
      ok: true,
      value: {
        ...file,
        pattern: upgradePattern(pattern as unknown as PatternOfAnyFormat),
        shelf: shelfOfToday(file['shelf']),
      },
    };
  } catch {
    // An old document that lacks what its format promises cannot be brought forward.
    return { ok: false, refusal: { code: 'not_a_pattern' } };
  }
}

/** Carried findings as they are today: a rule for spares could not be said before. What is no shelf is left to be refused. */
function shelfOfToday(shelf: unknown): unknown {
  if (!isObject(shelf) || !Array.isArray(shelf['findings'])) return shelf;
  return {
    ...shelf,
    findings: shelf['findings'].map((carried: unknown) =>
      isObject(carried) && isObject(carried['is'])
        ? { ...carried, is: { spares: null, ...carried['is'] } }
        : carried,
    ),
  };
}

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What becomes of one carried thing on this shelf. */
export interface Mapping {
  readonly kind: 'fibre' | 'finding' | 'needle';
  readonly id: string;
  readonly name: string;
  /** How well the proposed one agrees; `none`: nothing like it is here. */
  readonly match: 'same' | 'nearest' | 'none';
  /** The thing of this shelf to take; null: it is put on the shelf. */
  readonly itemId: string | null;
}

/** So far apart a colour is no longer “nearest”: CIEDE2000. */
const NEAR_DELTA_E = 8;

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** For each carried fibre, finding and needle: the same here by id or name and kind, else the nearest, else put on the shelf. */
export function proposeMapping(file: PatternFile, shelf: PlainShelf): Mapping[] {
  const fibres = file.shelf.fibres.map(({ id, is }): Mapping => {
    const ownFibres = shelf.fibres.filter(({ archived }) => !archived);
    const same =
      ownFibres.find((fibre) => fibre.id === id && sameName(fibre.name, is.name)) ??
      ownFibres.find((fibre) => sameName(fibre.name, is.name) && fibre.preparation === is.preparation);
    if (same) return { kind: 'fibre', id, name: is.name, match: 'same', itemId: same.id };
    const nearest = ownFibres
      .filter(({ preparation }) => preparation === is.preparation)
      .map((fibre) => ({ fibre, deltaE: colourDifference(fibre.colour, is.colour) }))
      .sort((a, b) => a.deltaE - b.deltaE)[0];
    return nearest && nearest.deltaE < NEAR_DELTA_E
      ? { kind: 'fibre', id, name: is.name, match: 'nearest', itemId: nearest.fibre.id }
      : { kind: 'fibre', id, name: is.name, match: 'none', itemId: null };
  });
  const findings = file.shelf.findings.map(({ id, is }): Mapping => {
    const ownFindings = shelf.findings.filter(
      ({ archived, measure }) => !archived && measure.by === is.measure.by,
    );
    const same = ownFindings.find((finding) => sameName(finding.name, is.name));
    return same
      ? { kind: 'finding', id, name: is.name, match: 'same', itemId: same.id }
      : { kind: 'finding', id, name: is.name, match: 'none', itemId: null };
  });
  const needles = file.shelf.needles.map(({ id, is }): Mapping => {
    const ownNeedles = shelf.needles.filter(({ archived, gauge }) => !archived && gauge === is.gauge);
    const same = ownNeedles.find(({ profile }) => profile === is.profile);
    const itemId = (same ?? ownNeedles[0])?.id ?? null;
    return {
      kind: 'needle',
      id,
      name: needleName(is),
      match: same ? 'same' : itemId ? 'nearest' : 'none',
      itemId,
    };
  });
  return [...fibres, ...findings, ...needles];
}

/** The pattern with every id of the sender’s shelf replaced. An id without a new one becomes unknown. */
export function mapShelf(pattern: Pattern, newId: (id: string) => string | null): Pattern {
  return mapped(pattern, newId) as Pattern;
}

const SHELF_KEYS = new Set(['fibreId', 'findingId']);

function mapped(value: unknown, newId: (id: string) => string | null): unknown {
  if (Array.isArray(value)) {
    const items = value.map((item) => mapped(item, newId));
    // A colourway’s fill without its fibre is no fill.
    return items.filter((item) => !(isObject(item) && 'slotId' in item && item['fibreId'] === null));
  }
  if (!isObject(value)) return value;
  return Object.fromEntries(
    Object.entries(value).map(([key, inner]) => [
      key,
      SHELF_KEYS.has(key) && typeof inner === 'string' ? newId(inner) : mapped(inner, newId),
    ]),
  );
}
