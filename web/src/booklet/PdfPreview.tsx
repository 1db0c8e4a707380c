import { Button } from 'antd';
import { lazy, Suspense } from 'react';
import { errorWords } from '../api/client.ts';
import styles from './Booklet.module.css';
import { DrawingPages } from './DrawingPages.tsx';
import { usePdf } from './usePdf.ts';

const PdfPages = lazy(async () => ({ default: (await import('./PdfPages.tsx')).PdfPages }));

/** What stands under an address as it will print, page by page; it can be stopped. */
export function PdfPreview({ url, title }: { url: string; title: string }) {
  const { state, stop, again } = usePdf(url);
  return (
    <section className={styles.preview} aria-label="As it will print" aria-busy={state.kind === 'making'}>
      {state.kind === 'making' && (
        <p className={styles.making} role="status">
          Setting its pages… <Button onClick={stop}>Stop</Button>
        </p>
      )}
      {state.kind === 'stopped' && (
        <p className={styles.making}>
          Stopped. <Button onClick={again}>Set it after all</Button>
        </p>
      )}
      {state.kind === 'failed' && (
        <p className={styles.making} role="alert">
          {errorWords(state.error)} <Button onClick={again}>Try again</Button>
        </p>
      )}
      {state.kind === 'made' && (
        <Suspense fallback={<DrawingPages />}>
          <PdfPages bytes={state.bytes} title={title} />
        </Suspense>
      )}
    </section>
  );
}
