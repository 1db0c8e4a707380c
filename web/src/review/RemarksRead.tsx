import type { Pattern } from '@lanakit/core/pattern';
import type { RemarkLine } from '@lanakit/core/words';
import styles from './RemarksRead.module.css';

interface RemarksReadProps {
  pattern: Pattern;
  lines: readonly RemarkLine[];
}

/** What is to be looked at in a pattern, where it is only read: as one comes to it, session by session. */
export function RemarksRead({ pattern, lines }: RemarksReadProps) {
  return (
    <div className={styles.letter}>
      {chapters(pattern, lines).map(({ title, lines: told }) => (
        <section key={title} aria-label={title}>
          {title !== '' && <h3>{title}</h3>}
          <ul className={styles.list}>
            {told.map(({ key, place, words }) => (
              <li key={key}>
                <b>{place}</b> {words}
              </li>
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

interface Chapter {
  readonly title: string;
  readonly lines: readonly RemarkLine[];
}

/** What is of the whole first, then by session; a pattern in one go has its steps together. */
function chapters({ sessions }: Pattern, lines: readonly RemarkLine[]): Chapter[] {
  const ofWhole = lines.filter(({ at }) => at.stepAt === null && at.sessionId === null);
  const inSteps = lines.filter((line) => !ofWhole.includes(line));
  const bySession = sessions.map(({ id, name }, at): Chapter => ({
    title: name || `Session ${at + 1}`,
    lines: inSteps.filter((line) => line.at.sessionId === id),
  }));
  const elsewhere = inSteps.filter(({ at }) => !sessions.some(({ id }) => id === at.sessionId));
  const all = [
    { title: 'The whole', lines: ofWhole },
    { title: 'Step by step', lines: elsewhere },
    ...bySession,
  ].filter((chapter) => chapter.lines.length > 0);
  return all.length === 1 ? all.map((only) => ({ ...only, title: '' })) : all;
}
