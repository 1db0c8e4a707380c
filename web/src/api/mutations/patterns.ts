import type { Revision, StoredPattern } from '@lanakit/core/api';
import type { Mapping, PatternFile } from '@lanakit/core/files';
import type { Pattern } from '@lanakit/core/pattern';
import type { Technique, TechniqueInput } from '@lanakit/core/writing';
import type { Mutation } from './mutation.ts';

/** What the server read in a file. */
export interface ReadPatternFile {
  readonly file: PatternFile;
  readonly mapping: readonly Mapping[];
  readonly lostPictures: number;
}

const LIST = ['/patterns', '/bench'];
const PUBLISHED = ['/patterns', '/revisions', '/bench'];

export const createPattern = (document: Pattern): Mutation<StoredPattern> => ({
  method: 'POST',
  path: '/patterns',
  body: document,
  touches: LIST,
});

/** Put away, or back among those in use. */
export const archivePattern = (id: string, archived: boolean): Mutation<StoredPattern> => ({
  method: 'PUT',
  path: `/patterns/${id}/archived`,
  body: { archived },
  touches: LIST,
});

/** Writes over the draft as it is at this version. */
export const putPattern = (id: string, version: number, document: Pattern): Mutation<StoredPattern> => ({
  method: 'PUT',
  path: `/patterns/${id}`,
  version,
  body: document,
  touches: PUBLISHED,
});

export const deletePattern = (id: string, version: number): Mutation<void> => ({
  method: 'DELETE',
  path: `/patterns/${id}`,
  version,
  touches: PUBLISHED,
});

export const restorePattern = (id: string): Mutation<StoredPattern> => ({
  method: 'POST',
  path: `/patterns/${id}/restore`,
  touches: PUBLISHED,
});

/** A revision of what is saved at this version; it never changes. */
export const publishRevision = (id: string, version: number, note: string): Mutation<Revision> => ({
  method: 'POST',
  path: `/patterns/${id}/revisions`,
  version,
  body: { note },
  touches: PUBLISHED,
});

/** What is in a file; nothing is kept of it yet. */
export const readPatternFile = (file: File): Mutation<ReadPatternFile> => ({
  method: 'POST',
  path: '/pattern-files',
  file,
  touches: [],
});

export const takePatternFile = (
  file: PatternFile,
  mapping: readonly Pick<Mapping, 'kind' | 'id' | 'itemId'>[],
): Mutation<StoredPattern> => ({
  method: 'POST',
  path: '/pattern-files/taken',
  body: { file, mapping },
  touches: ['/patterns', '/fibres', '/findings', '/needles', '/bench'],
});

export const keepPicture = (file: File): Mutation<{ readonly id: string }> => ({
  method: 'POST',
  path: '/pictures',
  file,
  touches: [],
});

export const createTechnique = (input: TechniqueInput): Mutation<Technique> => ({
  method: 'POST',
  path: '/techniques',
  body: input,
  touches: ['/techniques'],
});

/** A version of its own after the one it was made from. */
export const saveTechnique = (id: string, version: number, input: TechniqueInput): Mutation<Technique> => ({
  method: 'PUT',
  path: `/techniques/${id}`,
  version,
  body: input,
  touches: ['/techniques'],
});

export const deleteTechnique = (id: string): Mutation<void> => ({
  method: 'DELETE',
  path: `/techniques/${id}`,
  touches: ['/techniques'],
});
