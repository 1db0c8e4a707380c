import { MEASURED_BY, type MeasuredBy } from '@lanakit/core/shelf';
import { ROLE_WORDS } from '@lanakit/core/words';
import { useMemo } from 'react';
import { useTable } from './tableContext.ts';

/** Parts by id, as they are called. @param exceptId one that may not be chosen */
export function usePartNames(exceptId: string | null = null): Record<string, string> {
  const parts = useTable((table) => table.document.parts);
  return useMemo(
    () =>
      Object.fromEntries(
        parts.flatMap(({ id, name }, index) =>
          id === exceptId ? [] : [[id, `${index + 1} ${name || 'Unnamed'}`]],
        ),
      ),
    [parts, exceptId],
  );
}

/** Findings of the shelf by id. @param by only those measured so */
export function useFindingNames(by: readonly MeasuredBy[] = MEASURED_BY): Record<string, string> {
  const findings = useTable((table) => table.wool.findings);
  return useMemo(
    () =>
      Object.fromEntries(
        [...findings.values()]
          .filter((finding) => !finding.archived && by.includes(finding.measure.by))
          .map(({ id, name }) => [id, name]),
      ),
    [findings, by],
  );
}

/** Uses of wool over the whole pattern by id, for an amount that is a part of another. */
export function useUseNames(exceptId: string): Record<string, string> {
  const parts = useTable((table) => table.document.parts);
  return useMemo(
    () =>
      Object.fromEntries(
        parts.flatMap((part) =>
          part.uses.flatMap((use) =>
            use.id === exceptId || use.role === 'insert'
              ? []
              : [[use.id, `${part.name} ${ROLE_WORDS[use.role]}`]],
          ),
        ),
      ),
    [parts, exceptId],
  );
}
