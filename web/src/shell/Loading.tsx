import styles from './Loading.module.css';

interface LoadingProps {
  error?: Error | undefined;
}

/** An empty sheet while its content comes; a server that does not answer is said. */
export const Loading = ({ error }: LoadingProps) => (
  <main className={`sheet ${styles.sheet}`} aria-busy={!error}>
    <Waiting error={error} />
  </main>
);

/** The same within a place that is there already. */
export const StillLoading = ({ error }: LoadingProps) => (
  <section className={`sheet ${styles.sheet}`} aria-busy={!error} aria-label="Loading">
    <Waiting error={error} />
  </section>
);

function Waiting({ error }: LoadingProps) {
  return (
    <>
      {error ? (
        <p className="red" role="alert">
          {error.message} It is asked again every few seconds.
        </p>
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
