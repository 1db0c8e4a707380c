import { exportList, type ShelfView } from '@lanakit/core/files';
import type { ListKind } from '@lanakit/core/tables';
import { get } from '../api/client.ts';
import { saveWorkbook } from '../shell/SaveTable.tsx';
import { saveText } from '../ui/saveText.ts';

type Items<T> = { readonly items: readonly T[] };

/** The whole shelf as it is now. */
export async function wholeShelf(): Promise<ShelfView> {
  const all = <T>(path: string) => get<Items<T>>(path).then(({ items }) => items);
  const [fibres, blends, findings, needles, tools, suppliers] = await Promise.all([
    all<ShelfView['fibres'][number]>('/fibres'),
    all<ShelfView['blends'][number]>('/blends'),
    all<ShelfView['findings'][number]>('/findings'),
    all<ShelfView['needles'][number]>('/needles'),
    all<ShelfView['tools'][number]>('/tools'),
    all<ShelfView['suppliers'][number]>('/suppliers'),
  ]);
  return { fibres, blends, findings, needles, tools, suppliers };
}

/** Saves a list of the shelf as CSV, or as a workbook of the same. @throws ApiProblem, Unreachable */
export async function saveList(kind: ListKind, form: 'csv' | 'xlsx'): Promise<undefined> {
  const text = exportList(kind, await wholeShelf());
  if (form === 'xlsx') return saveWorkbook(`lanakit-${kind}`, text);
  saveText(`lanakit-${kind}.csv`, text);
  return undefined;
}
