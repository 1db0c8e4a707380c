import styles from './Shell.module.css';

/** Over every place of the demo studio: that it is one, and the way out of it. */
export function DemoRibbon() {
  return (
    <aside className={`${styles.demo} no-print`} aria-label="Which studio">
      <span>
        <b>Demo studio.</b> Invented, and at work for a while: change what you like, nothing here touches your
        own.
      </span>
      {/* Another studio is another page: nothing of this one stays in it. */}
      <a href="/">Back to my studio</a>
    </aside>
  );
}
