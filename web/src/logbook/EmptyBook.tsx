import { Button } from 'antd';
import { useNavigate } from 'react-router';
import styles from './Logbook.module.css';

/** What belongs on the first page, and begins it. */
export function EmptyBook() {
  const navigate = useNavigate();
  return (
    <article className={`sheet ${styles.notebook}`}>
      <h2>The first page</h2>
      <p className={styles.sum}>
        No maker knows what a figure weighs; the first sample knows. Weigh each bag of wool before you begin
        and after, and every number in every pattern with that wool becomes surer.
      </p>
      <p>
        Half of it is enough. A class you teach writes its page by itself. Nothing you write here changes a
        number before you have seen what it would change, and taken it.
      </p>
      <p>
        <Button type="primary" size="large" onClick={() => void navigate('/logbook/new')}>
          Write down a making
        </Button>
      </p>
    </article>
  );
}
