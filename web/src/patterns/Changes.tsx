import type { Wool } from '@lanakit/core/engine';
import { type Pattern, patternChanges } from '@lanakit/core/pattern';
import { changeTitle, fieldWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { counted } from '../words/show.ts';
import styles from './ComparePage.module.css';

interface ChangesProps {
  before: Pattern;
  after: Pattern;
  wool: Wool;
  /** The first is what the second was before. */
  isSince?: boolean;
}

/** What is otherwise in the second, thing by thing, in words. */
export function Changes({ before, after, wool, isSince = false }: ChangesProps) {
  const changes = useMemo(() => patternChanges(before, after), [before, after]);
  const nameOf = useMemo(() => namesIn(before, after, wool), [before, after, wool]);
  return (
    <section className={`sheet ${styles.changes}`} aria-label="In words">
      <h2>{isSince ? 'Since then' : 'In words'}</h2>
      {changes.length === 0 ? (
        <p className="quiet">Nothing is otherwise.</p>
      ) : (
        <>
          <p className="quiet">
            {counted(changes.length, 'thing')} otherwise {isSince ? 'now' : 'in the second'}.
          </p>
          <ul>
            {changes.map((change, index) => (
              <li key={index}>
                <b>{changeTitle(change)}</b>
                {change.fields.length > 0 && (
                  <ul>
                    {change.fields.map((field) => (
                      <li key={field.path.join('/')}>{fieldWords(field, nameOf)}</li>
                    ))}
                  </ul>
                )}
              </li>
            ))}
          </ul>
        </>
      )}
    </section>
  );
}

/** What ids of the shelf and of either version are called. */
function namesIn(before: Pattern, after: Pattern, wool: Wool): (id: string) => string | null {
  const names = new Map<string, string>();
  for (const pattern of [before, after]) {
    pattern.steps.forEach(({ id }, at) => names.set(id, `step ${at + 1}`));
    const named = [
      pattern.parts,
      pattern.options,
      pattern.slots,
      pattern.colourways,
      pattern.shared,
      pattern.cuts,
    ];
    for (const { id, name } of named.flat()) names.set(id, name);
    for (const value of pattern.options.flatMap(({ values }) => values)) names.set(value.id, value.name);
    for (const part of pattern.parts) {
      for (const use of part.uses) names.set(use.id, `${use.role}`);
    }
    for (const join of pattern.joins) {
      const ends = [join.partId, join.ontoId].map((id) => names.get(id) ?? '');
      names.set(join.id, ends.join(' to '));
    }
  }
  return (id) => wool.fibres.get(id)?.name ?? wool.findings.get(id)?.name ?? names.get(id) ?? null;
}
