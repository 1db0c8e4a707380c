import type { Pattern } from '@lanakit/core/pattern';
import type { Problem } from '@lanakit/core/problems';
import { problemWords } from '@lanakit/core/words';
import { ownerName } from '../../words/ownerWords.ts';
import { counted } from '../../words/show.ts';
import styles from './Ledger.module.css';
import type { Writing } from '../table/writing.ts';

interface BlockersProps {
  problems: readonly Problem[];
  document: Pattern;
  onChoosePart: (partId: string) => void;
  onShow: (writing: Writing) => void;
}

/** Which list a place that is not a part belongs to. */
const LIST_OF: Readonly<Record<string, Writing>> = {
  joins: 'joins',
  cuts: 'materials',
  findings: 'materials',
  shared: 'materials',
  steps: 'steps',
  swaps: 'options',
};

/** What stands in the way of publishing; each leads to its place. */
export function Blockers({ problems, document, onChoosePart, onShow }: BlockersProps) {
  return (
    <section className={styles.settle} aria-label="To settle">
      <h3 className="red">To settle: {counted(problems.length, 'thing')}</h3>
      <ul>
        {problems.map((problem) => {
          const index = Number(/^\/parts\/(\d+)/.exec(problem.pointer)?.[1] ?? NaN);
          const part = document.parts[index];
          const words = problemWords(problem);
          const list = LIST_OF[problem.pointer.split('/')[1] ?? ''];
          return (
            <li key={problem.code + problem.pointer}>
              {part ? (
                <button type="button" className="plain-button" onClick={() => onChoosePart(part.id)}>
                  <b>
                    {index + 1} {part.name}
                  </b>{' '}
                  {words}
                </button>
              ) : list ? (
                <button type="button" className="plain-button" onClick={() => onShow(list)}>
                  <b>{placeName(problem.pointer, document)}</b> {words}
                </button>
              ) : (
                words
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** What a problem’s place is called where it is not a part. */
function placeName(pointer: string, pattern: Pattern): string {
  const [, list, at] = pointer.split('/');
  const index = Number(at);
  const join = list === 'joins' ? pattern.joins[index] : undefined;
  if (join) return ownerName({ kind: 'join', id: join.id }, pattern);
  if (list === 'cuts') return pattern.cuts[index]?.name ?? '';
  if (list === 'swaps') return pattern.swaps[index]?.look || 'A swap';
  if (list === 'shared') return pattern.shared[index]?.name ?? '';
  return list === 'steps' ? `Step ${index + 1}` : 'A finding';
}
