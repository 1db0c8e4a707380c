import { exportList, type ShelfView } from '@lanakit/core/files';
import type { ListKind } from '@lanakit/core/tables';
import { get } from '../api/client.ts';

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

/** Saves a list of the shelf as a CSV file. */
export async function saveList(kind: ListKind): Promise<void> {
  const text = exportList(kind, await wholeShelf());
  const url = URL.createObjectURL(new Blob([text], { type: 'text/csv;charset=utf-8' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `lanakit-${kind}.csv`;
  link.click();
  URL.revokeObjectURL(url);
}
