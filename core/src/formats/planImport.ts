import type { Blend } from '../blend/index.ts';
import {
  BLANK_FIBRE,
  checkFibre,
  type Fibre,
  type FibreInput,
  type Preparation,
  sameName,
} from '../fibre/index.ts';
import {
  BLANK_FINDING,
  blankMeasure,
  checkFinding,
  type Finding,
  type FindingInput,
  type MeasuredBy,
} from '../finding/index.ts';
import { BLANK_NEEDLE, checkNeedle, type Needle, type NeedleInput, needleName } from '../needles/index.ts';
import { checkRange, type Problem } from '../problems/index.ts';
import { AMOUNT_BOUNDS, type CountInput } from '../stock/index.ts';
import { type Offer, OFFER_BOUNDS, type Supplier } from '../supplier/index.ts';
import type { Tool } from '../tools/index.ts';
import type { CsvStyle } from './codecs.ts';
import { type Cells, headerKey, readRow, writeRow } from './columns.ts';
import type { ImportedKind } from './importInput.ts';
import { LIST_COLUMNS, type ListKind } from './lists.ts';

/** The shelf as an import finds it. */
export interface ShelfView {
  readonly fibres: readonly Fibre[];
  readonly blends: readonly Blend[];
  readonly findings: readonly Finding[];
  readonly needles: readonly Needle[];
  readonly tools: readonly Tool[];
  readonly suppliers: readonly Supplier[];
}

/** What one row would do. */
export type RowChange =
  | { readonly kind: 'create'; readonly itemKind: ImportedKind; readonly input: object }
  | {
      readonly kind: 'update';
      readonly itemKind: ImportedKind;
      readonly id: string;
      readonly version: number;
      readonly input: object;
    }
  | { readonly kind: 'count'; readonly count: CountInput }
  | { readonly kind: 'offer'; readonly supplierName: string; readonly offer: Offer };

/** A row as it will be read. */
export interface PlannedRow {
  readonly line: number;
  readonly name: string;
  readonly state: 'new' | 'changed' | 'same' | 'bad';
  /** The values as read, in the order of the list’s columns; of a bad row, the cells as they stand. */
  readonly values: readonly string[];
  readonly problems: readonly Problem[];
  /** Null for a row that is bad or changes nothing. */
  readonly change: RowChange | null;
}

type RowPlanner = (line: number, cells: Cells) => PlannedRow;

/** A planner of rows of one kind against the shelf; it remembers the rows it has seen, to find the same thing twice. */
export function planImport(kind: ListKind, shelf: ShelfView, style: CsvStyle): RowPlanner {
  const seen = new Map<string, number>();
  const plan = PLANNERS[kind](shelf, style);
  return (line, cells) => {
    const row = plan(line, cells);
    const key = row.state === 'bad' ? null : row.name.toLowerCase();
    const firstLine = key === null ? undefined : seen.get(key);
    if (firstLine !== undefined) {
      return {
        ...row,
        state: 'bad',
        change: null,
        problems: [{ code: 'row_twice', pointer: '', name: row.name, firstLine }],
      };
    }
    if (key !== null) seen.set(key, line);
    return row;
  };
}

const PLANNERS: Readonly<Record<ListKind, (shelf: ShelfView, style: CsvStyle) => RowPlanner>> = {
  fibres: planFibres,
  findings: planFindings,
  needles: planNeedles,
  prices: planPrices,
  counts: planCounts,
};

const asTheyStand = (kind: ListKind, cells: Cells): string[] =>
  LIST_COLUMNS[kind].map(({ header }) => cells.get(headerKey(header)) ?? '');

interface ThingPlan<T extends object, S extends T & { readonly id: string; readonly version: number }> {
  readonly kind: ListKind;
  readonly itemKind: ImportedKind;
  readonly stored: readonly S[];
  readonly nameOf: (thing: T) => string;
  readonly startOf: (cells: Cells, style: CsvStyle) => T;
  readonly inputOf: (stored: S) => T;
  readonly check: (input: T) => readonly Problem[];
  /** Puts right what cells alone cannot say. */
  readonly finish?: (input: T) => T;
}

/** Things with properties of their own: made anew, or changed where the shelf has one of that name. */
function planThings<T extends object, S extends T & { readonly id: string; readonly version: number }>(
  plan: ThingPlan<T, S>,
  style: CsvStyle,
): RowPlanner {
  const columns = LIST_COLUMNS[plan.kind];
  const finish = plan.finish ?? ((input: T) => input);
  const byName = new Map(plan.stored.map((stored) => [plan.nameOf(stored).toLowerCase(), stored]));
  return (line, cells) => {
    const fresh = readRow(columns, cells, plan.startOf(cells, style), style);
    const name = plan.nameOf(finish(fresh.value));
    const stored = byName.get(name.toLowerCase());
    // A second reading over what is stored: a column the file has not is left alone.
    const reading = stored
      ? readRow(columns, cells, mergeable(plan.inputOf(stored), fresh.value), style)
      : fresh;
    const input = finish(reading.value);
    const problems = [...reading.problems, ...(reading.problems.length > 0 ? [] : plan.check(input))];
    if (problems.length > 0) {
      return { line, name, state: 'bad', values: asTheyStand(plan.kind, cells), problems, change: null };
    }
    const values = writeRow(columns, input);
    const isSame = stored !== undefined && sameText(values, writeRow(columns, plan.inputOf(stored)));
    const change: RowChange | null = isSame
      ? null
      : stored
        ? { kind: 'update', itemKind: plan.itemKind, id: stored.id, version: stored.version, input }
        : { kind: 'create', itemKind: plan.itemKind, input };
    return { line, name, state: isSame ? 'same' : stored ? 'changed' : 'new', values, problems: [], change };
  };
}

/** What is stored, unless it is now measured in another way: then what it had has no place any more. */
function mergeable<T extends object>(stored: T, fresh: T): T {
  const by = (thing: object) => (thing as { measure?: { by: string } }).measure?.by;
  const measure = (fresh as { measure?: unknown }).measure;
  return by(stored) === by(fresh) ? withMark(stored, fresh) : { ...stored, measure };
}

/** A needle without a mark has no place for one until the file gives it. */
function withMark<T extends object>(stored: T, fresh: T): T {
  const mark = (fresh as { mark?: unknown }).mark;
  return 'mark' in stored && stored.mark === null ? { ...stored, mark } : stored;
}

const sameText = (a: readonly string[], b: readonly string[]): boolean =>
  a.every((text, index) => text === b[index]);

function withoutStock<T>(stored: T & { readonly id: string; readonly version: number }): T {
  const { id: _id, version: _version, ...rest } = stored;
  const {
    onHand: _a,
    peak: _b,
    onHandG: _c,
    peakG: _d,
    lots: _e,
    ...input
  } = rest as Record<string, unknown>;
  return input as T;
}

function planFibres(shelf: ShelfView, style: CsvStyle): RowPlanner {
  return planThings<FibreInput, Fibre>(
    {
      kind: 'fibres',
      itemKind: 'fibre',
      stored: shelf.fibres,
      nameOf: ({ name, preparation }) => `${name.trim()} ${preparation}`,
      startOf: () => BLANK_FIBRE,
      inputOf: (stored) => withoutStock<FibreInput>(stored),
      check: checkFibre,
    },
    style,
  );
}

function planFindings(shelf: ShelfView, style: CsvStyle): RowPlanner {
  return planThings<FindingInput, Finding>(
    {
      kind: 'findings',
      itemKind: 'finding',
      stored: shelf.findings,
      nameOf: ({ name }) => name.trim(),
      startOf: (cells) => {
        const reading = LIST_COLUMNS.findings[1]?.codec.read(cells.get('measured') ?? '', style);
        return {
          ...BLANK_FINDING,
          measure: blankMeasure(reading?.ok ? (reading.value as MeasuredBy) : 'count'),
        };
      },
      inputOf: (stored) => withoutStock<FindingInput>(stored),
      check: checkFinding,
    },
    style,
  );
}

/** A mark without a colour of its own yet. */
const PLAIN_MARK_COLOUR = '#8a8f94';

function planNeedles(shelf: ShelfView, style: CsvStyle): RowPlanner {
  return planThings<NeedleInput, Needle>(
    {
      kind: 'needles',
      itemKind: 'needle',
      stored: shelf.needles,
      nameOf: needleName,
      startOf: () => ({ ...BLANK_NEEDLE, mark: { word: '', colour: PLAIN_MARK_COLOUR } }),
      inputOf: (stored) => withoutStock<NeedleInput>(stored),
      check: checkNeedle,
      finish: (needle) => ({
        ...needle,
        mark:
          (needle.mark?.word ?? '') === ''
            ? null
            : { word: needle.mark?.word ?? '', colour: needle.mark?.colour || PLAIN_MARK_COLOUR },
      }),
    },
    style,
  );
}

/** A thing on the shelf that a row names. */
interface Named {
  readonly id: string;
  readonly name: string;
  readonly preparation: Preparation | null;
  readonly lots:
    readonly { readonly id: string; readonly name: string; readonly onHandG: number | null }[] | null;
  readonly onHand: number | null;
}

function everything(shelf: ShelfView): Named[] {
  return [
    ...[...shelf.fibres, ...shelf.blends].map(({ id, name, preparation, lots, onHandG }) => ({
      id,
      name,
      preparation,
      lots,
      onHand: onHandG,
    })),
    ...[...shelf.findings, ...shelf.tools].map(({ id, name, onHand }) => ({
      id,
      name,
      preparation: null,
      lots: null,
      onHand,
    })),
    ...shelf.needles.map((needle) => ({
      id: needle.id,
      name: needleName(needle),
      preparation: null,
      lots: null,
      onHand: needle.onHand,
    })),
  ];
}

type Found = { readonly thing: Named } | { readonly problem: Problem };

/** The one thing a row means by its name, and by how it is prepared where several have the name. */
function finderOf(shelf: ShelfView): (name: string, preparation: Preparation | null) => Found {
  const byName = new Map<string, Named[]>();
  for (const thing of everything(shelf)) {
    const key = thing.name.trim().toLowerCase();
    byName.set(key, [...(byName.get(key) ?? []), thing]);
  }
  return (name, preparation) => {
    const named = byName.get(name.trim().toLowerCase()) ?? [];
    const fitting = preparation === null ? named : named.filter((thing) => thing.preparation === preparation);
    const [thing, second] = fitting;
    if (!thing) return { problem: { code: 'not_on_shelf', pointer: '/item', name } };
    return second ? { problem: { code: 'several_on_shelf', pointer: '/preparation', name } } : { thing };
  };
}

interface PriceRow {
  readonly supplier: string;
  readonly item: string;
  readonly preparation: Preparation | null;
  readonly packAmount: number;
  readonly priceMinor: number;
  readonly reference: string;
}

const BLANK_PRICE: PriceRow = {
  supplier: '',
  item: '',
  preparation: null,
  packAmount: 0,
  priceMinor: 0,
  reference: '',
};

function planPrices(shelf: ShelfView, style: CsvStyle): RowPlanner {
  const find = finderOf(shelf);
  return (line, cells) => {
    const { value, problems } = readRow(LIST_COLUMNS.prices, cells, BLANK_PRICE, style);
    const found = find(value.item, value.preparation);
    const name = `${value.supplier}: ${value.item} ${value.preparation ?? ''}, ${value.packAmount}`;
    const bounds = checkRange(value.packAmount, OFFER_BOUNDS.packAmount, '/packAmount');
    const all = [
      ...problems,
      ...(problems.length === 0 ? bounds : []),
      ...('problem' in found && problems.length === 0 ? [found.problem] : []),
    ];
    if (all.length > 0 || !('thing' in found)) {
      return { line, name, state: 'bad', values: asTheyStand('prices', cells), problems: all, change: null };
    }
    const { packAmount, priceMinor, reference } = value;
    const offer: Offer = { itemId: found.thing.id, packAmount, priceMinor, reference };
    const before = shelf.suppliers
      .find((supplier) => sameName(supplier.name, value.supplier))
      ?.offers.find((other) => other.itemId === offer.itemId && other.packAmount === packAmount);
    const isSame = before?.priceMinor === priceMinor && before.reference === reference;
    return {
      line,
      name,
      state: isSame ? 'same' : before ? 'changed' : 'new',
      values: writeRow(LIST_COLUMNS.prices, value),
      problems: [],
      change: isSame ? null : { kind: 'offer', supplierName: value.supplier, offer },
    };
  };
}

interface CountRow {
  readonly item: string;
  readonly preparation: Preparation | null;
  readonly lot: string;
  readonly amount: number;
  readonly unit: string;
}

const BLANK_COUNT: CountRow = { item: '', preparation: null, lot: '', amount: 0, unit: '' };

function planCounts(shelf: ShelfView, style: CsvStyle): RowPlanner {
  const find = finderOf(shelf);
  return (line, cells) => {
    const { value, problems } = readRow(LIST_COLUMNS.counts, cells, BLANK_COUNT, style);
    const name = [value.item, value.preparation ?? '', value.lot].filter((word) => word !== '').join(' ');
    const bad = (all: readonly Problem[]): PlannedRow => ({
      line,
      name,
      state: 'bad',
      values: asTheyStand('counts', cells),
      problems: all,
      change: null,
    });
    if (problems.length > 0) return bad(problems);
    const bounds = checkRange(value.amount, AMOUNT_BOUNDS, '/amount');
    if (bounds.length > 0) return bad(bounds);
    const found = find(value.item, value.preparation);
    if ('problem' in found) return bad([found.problem]);
    const lot = lotMeant(found.thing, value.lot);
    if (lot !== null && 'code' in lot) return bad([lot]);
    const onHand = lot ? lot.onHandG : found.thing.onHand;
    const isSame = onHand === value.amount;
    return {
      line,
      name,
      state: isSame ? 'same' : onHand === null ? 'new' : 'changed',
      values: writeRow(LIST_COLUMNS.counts, value),
      problems: [],
      change: isSame
        ? null
        : { kind: 'count', count: { itemId: found.thing.id, lotId: lot?.id ?? null, amount: value.amount } },
    };
  };
}

/** The lot a count is of: named, or the only one; null where a thing is kept without lots. */
function lotMeant({ lots }: Named, name: string) {
  if (lots === null) return null;
  const names = lots.map((lot) => lot.name);
  const [only, second] = lots;
  if (name === '') {
    if (only && !second) return only;
    return only
      ? ({ code: 'lot_not_said', pointer: '/lot', lots: names } as const)
      : ({ code: 'lot_not_found', pointer: '/lot', name: 'first lot', lots: [] } as const);
  }
  return (
    lots.find((lot) => sameName(lot.name, name)) ??
    ({ code: 'lot_not_found', pointer: '/lot', name, lots: names } as const)
  );
}
