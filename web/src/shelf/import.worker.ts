import {
  type ListKind,
  type ListSettings,
  readList,
  type ReadListResult,
  type ShelfView,
} from '@lanakit/core';
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
