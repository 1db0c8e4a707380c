import styles from './Loading.module.css';

/** An empty sheet while its content comes; a server that does not answer is said. */
export function Loading({ error }: { error?: Error | undefined }) {
  return (
    <main className={`sheet ${styles.sheet}`} aria-busy={!error}>
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
    </main>
  );
}
