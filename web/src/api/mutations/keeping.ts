import type {
  BackupName,
  BinnedThing,
  BroughtIn,
  KeptKind,
  PutBack,
  StudioThatCame,
} from '@lanakit/core/api';
import type { Mutation } from './mutation.ts';

export const backUpNow = (): Mutation<BackupName> => ({
  method: 'POST',
  path: '/backups',
  hasOwnKey: true,
  touches: ['/keeping'],
});

/** @param path of a directory on the machine Lanakit runs on; null: none */
export const setSecondPlace = (path: string | null): Mutation<void> => ({
  method: 'PUT',
  path: '/keeping/second-place',
  body: { path },
  touches: ['/keeping'],
});

/** @param thing null: all of it */
export const putBack = (
  name: string,
  thing: { readonly kind: KeptKind; readonly id: string } | null,
): Mutation<PutBack> => ({
  method: 'POST',
  path: `/backups/${name}/put-back`,
  body: { thing },
  hasOwnKey: true,
  touches: ['/'],
});

export const bringBack = ({ path, id }: Pick<BinnedThing, 'path' | 'id'>): Mutation<unknown> => ({
  method: 'POST',
  path: `${path}/${id}/restore`,
  touches: ['/'],
});

/** Makes something again what it was. @param version as it is now */
export const goBackTo = ({
  kind,
  id,
  entryId,
  version,
}: {
  readonly kind: KeptKind;
  readonly id: string;
  readonly entryId: number;
  readonly version: number;
}): Mutation<{ readonly version: number }> => ({
  method: 'POST',
  path: `/history/${kind}/${id}/states/${entryId}/go-back`,
  version,
  touches: ['/'],
});

/** What is in a whole studio; nothing is brought in yet. */
export const readStudioFile = (file: File): Mutation<StudioThatCame> => ({
  method: 'POST',
  path: '/studio-files',
  file,
  touches: [],
});

/** @param mapping what each thing of its shelf is here; null: it is put on this shelf */
export const bringStudioIn = (
  id: string,
  mapping: readonly { readonly id: string; readonly itemId: string | null }[],
): Mutation<BroughtIn> => ({
  method: 'POST',
  path: `/studio-files/${id}/brought-in`,
  body: { mapping },
  hasOwnKey: true,
  touches: ['/'],
});
