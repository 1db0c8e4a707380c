import { revisionsOfRun, type RunInput } from '@lanakit/core/run';
import type { ApartValue, Sheet, SheetRow } from '../../db/sheets.ts';
import type { StudioManifest } from './format.ts';

/** What of a damaged studio cannot be read, and all that is nothing without it: the rest is to come in whole. */
export class LeftOut {
  readonly #lost = new Map<string, Set<string>>();
  readonly #told: { sheet: string; id: string }[] = [];

  get told(): StudioManifest['leftOut'] {
    return this.#told;
  }

  add({ name, table }: Sheet, id: unknown): void {
    const ids = this.#lost.get(table) ?? new Set();
    if (ids.has(String(id))) return;
    this.#lost.set(table, ids.add(String(id)));
    this.#told.push({ sheet: name, id: String(id) });
  }

  /** Rows of which everything they are of is there; those that are not are told. */
  *without(sheet: Sheet, rows: Iterable<SheetRow>): Generator<SheetRow> {
    for (const row of rows) {
      const isLost = sheet.columns.some(
        ({ key, refersTo }) => refersTo !== null && this.#has(refersTo, row[key]),
      );
      if (isLost) this.add(sheet, row['id'] ?? row[sheet.columns[0]?.key ?? '']);
      else yield row;
    }
  }

  /** Whether a document cannot be without something that is lost: a run without what it makes. */
  isNothingWithout({ table }: Sheet, key: string, value: ApartValue): boolean {
    if (table !== 'run' || key !== 'document' || typeof value !== 'string') return false;
    return revisionsOfRun(JSON.parse(value) as RunInput).some((id) => this.#has('revision', id));
  }

  #has(table: string, id: unknown): boolean {
    return this.#lost.get(table)?.has(String(id)) === true;
  }
}
