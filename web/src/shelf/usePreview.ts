import { errorWords } from '../api/client.ts';
import {
  LARGEST_FILE_BYTES,
  type ListSettings,
  type ReadListResult,
  type ShelfView,
} from '@lanakit/core/files';
import type { ListKind } from '@lanakit/core/tables';
import { proxy, wrap, type Remote } from 'comlink';
import { useEffect, useMemo, useState } from 'react';
import type { ImportApi } from './import.worker.ts';
import { wholeShelf } from './saveList.ts';

export type Preview =
  | { readonly kind: 'none' }
  | { readonly kind: 'reading'; readonly fraction: number }
  | { readonly kind: 'failed'; readonly message: string }
  | { readonly kind: 'read'; readonly result: ReadListResult; readonly shelf: ShelfView };

interface Question {
  readonly file: File;
  readonly kind: ListKind;
  readonly settings: ListSettings;
}

/** Every row of a file as it would be read, worked out in a worker; another file or setting ends the reading before. */
export function usePreview(file: File | null, kind: ListKind, settings: ListSettings): Preview {
  const { encoding, delimiter, decimal } = settings;
  const question = useMemo(
    () => (file ? { file, kind, settings: { encoding, delimiter, decimal } } : null),
    [file, kind, encoding, delimiter, decimal],
  );
  const [answer, setAnswer] = useState<{ question: Question; preview: Preview } | null>(null);
  const isTooLarge = question !== null && question.file.size > LARGEST_FILE_BYTES;
  useEffect(() => {
    if (!question || isTooLarge) return undefined;
    const worker = new Worker(new URL('./import.worker.ts', import.meta.url), { type: 'module' });
    let isCurrent = true;
    const told = (preview: Preview) => isCurrent && setAnswer({ question, preview });
    const end = () => {
      isCurrent = false;
      worker.terminate();
    };
    const late = setTimeout(() => {
      told({ kind: 'failed', message: TOOK_TOO_LONG });
      end();
    }, LIMIT_MS);
    ask(worker, question, (fraction) => void told({ kind: 'reading', fraction }))
      .then(told, (error: unknown) => told({ kind: 'failed', message: errorWords(error) }))
      .finally(() => clearTimeout(late));
    return () => {
      clearTimeout(late);
      end();
    };
  }, [question, isTooLarge]);
  if (!question) return { kind: 'none' };
  // A file far too large is refused before it is read at all.
  if (isTooLarge) return tooLarge(question.file.size);
  return answer?.question === question ? answer.preview : { kind: 'reading', fraction: 0 };
}

/** Ten times what the longest list there may be takes. */
const LIMIT_MS = 60_000;
const TOOK_TOO_LONG =
  'This list took longer than a minute to read and was given up. Nothing was changed; part it.';

async function ask(
  worker: Worker,
  { file, kind, settings }: Question,
  onProgress: (fraction: number) => void,
): Promise<Preview> {
  const api: Remote<ImportApi> = wrap<ImportApi>(worker);
  const [bytes, shelf] = await Promise.all([file.arrayBuffer(), wholeShelf()]);
  const result = await api.read(new Uint8Array(bytes), kind, settings, shelf, proxy(onProgress));
  return { kind: 'read', result, shelf };
}

const NO_SHELF: ShelfView = { fibres: [], blends: [], findings: [], needles: [], tools: [], suppliers: [] };

const tooLarge = (sizeBytes: number): Preview => ({
  kind: 'read',
  result: { ok: false, refusal: { code: 'file_too_large', sizeBytes, limitBytes: LARGEST_FILE_BYTES } },
  shelf: NO_SHELF,
});
