import { AskAgain } from './AskAgain.tsx';
import styles from './Loading.module.css';

interface LoadingProps {
  error?: Error | undefined;
}

/** An empty sheet while its content comes; a server that does not answer is said. */
export const Loading = ({ error }: LoadingProps) => (
  <main className={`sheet ${styles.sheet}`} aria-busy={!error}>
    <Waiting error={error} Heading="h1" />
  </main>
);

/** The same within a place that is there already. */
export const StillLoading = ({ error }: LoadingProps) => (
  <section className={`sheet ${styles.sheet}`} aria-busy={!error} aria-label="Loading">
    <Waiting error={error} Heading="h2" />
  </section>
);

function Waiting({ error, Heading }: LoadingProps & { Heading: 'h1' | 'h2' }) {
  return (
    <>
      {error ? (
        <div role="alert" data-cannot-show="">
          <Heading className="red">This cannot be shown just now</Heading>
          <p className="above-2">{error.message}</p>
          <p className="quiet">
            It is asked again every few seconds. What you wrote and could not be kept waits in this browser.
          </p>
          <p className="above-2">
            <AskAgain />
          </p>
        </div>
      ) : (
        <>
          <div className={styles.bar} />
          <div className={styles.bar} />
          <div className={styles.bar} />
          <span className="visually-hidden">Loading</span>
        </>
      )}
    </>
  );
}
