import styles from './Booklet.module.css';

/** The file is there, and is being read. */
export function DrawingPages() {
  return (
    <p className={styles.making} role="status">
      Drawing its pages…
    </p>
  );
}
