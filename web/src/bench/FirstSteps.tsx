import { Ways } from '../ways/Ways.tsx';
import styles from './BenchPage.module.css';

/** All ways there are from an empty studio. */
export function FirstSteps() {
  return (
    <section className={`sheet ${styles.first}`}>
      <h1>An empty bench</h1>
      <p className="quiet">From here it is a few minutes to packs that are weighed out by the gram.</p>
      <Ways ways={['short', 'shelf', 'name-it', 'paste', 'list', 'tour', 'demo']} />
    </section>
  );
}
