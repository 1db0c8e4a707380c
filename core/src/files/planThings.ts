import type { Problem } from '../problems/index.ts';
import {
  BLANK_FIBRE,
  BLANK_FINDING,
  BLANK_NEEDLE,
  blankMeasure,
  checkFibre,
  checkFinding,
  checkNeedle,
  type Fibre,
  type FibreInput,
  type Finding,
  type FindingInput,
  type MeasuredBy,
  type Needle,
  type NeedleInput,
  needleName,
} from '../shelf/index.ts';
import { type Cells, type CsvStyle, type ListKind, readRow, writeRow } from '../tables/index.ts';
import type { ImportedKind } from './importInput.ts';
import { LIST_COLUMNS } from './lists.ts';
import { asTheyStand, type RowChange, type RowPlanner, type ShelfView } from './plannedRow.ts';

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

export function planFibres(shelf: ShelfView, style: CsvStyle): RowPlanner {
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

export function planFindings(shelf: ShelfView, style: CsvStyle): RowPlanner {
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

export function planNeedles(shelf: ShelfView, style: CsvStyle): RowPlanner {
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
