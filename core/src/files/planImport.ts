import type { CsvStyle, ListKind } from '../tables/index.ts';
import { planCounts, planPrices } from './planByName.ts';
import { planFibres, planFindings, planNeedles } from './planThings.ts';
import type { RowPlanner, ShelfView } from './plannedRow.ts';

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
