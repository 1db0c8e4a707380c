import type { ClassQuestion } from '@lanakit/core/logbook';
import { Checkbox } from 'antd';
import { Link } from 'react-router';
import { setQuestionDone } from '../api/mutations/logbook.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useClassQuestions } from '../api/queries.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { SAID_WORDS } from '../words/classWords.ts';
import { showDay } from '../words/show.ts';
import { BookFrame } from './BookFrame.tsx';
import styles from './Logbook.module.css';

/** What learners asked, what went wrong and what was thought of, by pattern and step: worked off into the next revision. */
export function QuestionsPage() {
  const { data, error } = useClassQuestions();
  const questions = data?.items ?? [];
  const titles = [...new Set(questions.map(({ title }) => title))];
  return (
    <BookFrame isWaiting={!data} error={error}>
      <article className={`sheet ${styles.notebook}`} aria-label="Asked in classes">
        <h2>Asked in classes</h2>
        {titles.length === 0 && (
          <p>
            Nothing yet. In front of the class, <i>Said and seen</i> takes a question, a trouble or an idea in
            two taps; it waits here until the pattern answers it.
          </p>
        )}
        {titles.map((title) => (
          <OfPattern key={title} title={title} questions={questions.filter((each) => each.title === title)} />
        ))}
      </article>
    </BookFrame>
  );
}

function OfPattern({ title, questions }: { title: string; questions: readonly ClassQuestion[] }) {
  const attempt = useAttempt();
  const [first] = questions;
  const setDone = (id: string, isDone: boolean) =>
    void attempt(async () => {
      await perform(setQuestionDone(id, isDone));
      return undefined;
    });
  return (
    <section aria-label={title}>
      <h3>{first ? <Link to={`/patterns/${first.patternId}`}>{title}</Link> : title}</h3>
      <ul className={styles.said}>
        {questions.map(({ id, sort, number, text, runId, runName, date, isDone }) => (
          <li key={id} className={isDone ? styles.done : undefined}>
            <Checkbox checked={isDone} onChange={({ target: { checked } }) => setDone(id, checked)}>
              <b>{SAID_WORDS[sort]}</b>
              {number === null ? '' : ` at step ${number}`}
              {text !== '' && `: ${text}`}
            </Checkbox>{' '}
            <span className="quiet small">
              <Link to={`/logbook/${runId}`}>{runName}</Link>, {showDay(date)}
              {isDone && ', worked off'}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
