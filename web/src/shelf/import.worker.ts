import { type ListSettings, readList, type ReadListResult, type ShelfView } from '@lanakit/core/files';
import type { ListKind } from '@lanakit/core/tables';
import { expose } from 'comlink';

const api = {
  read: (
    bytes: Uint8Array,
    kind: ListKind,
    settings: ListSettings,
    shelf: ShelfView,
    onProgress: (fraction: number) => void,
  ): ReadListResult => readList(bytes, kind, settings, shelf, onProgress),
};
export type ImportApi = typeof api;

expose(api);
