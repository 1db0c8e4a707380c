import { GlobalWorkerOptions, getDocument, type PDFDocumentProxy } from 'pdfjs-dist';
import workerUrl from 'pdfjs-dist/build/pdf.worker.min.mjs?url';
import { useEffect, useRef, useState } from 'react';
import styles from './Booklet.module.css';
import { DrawingPages } from './DrawingPages.tsx';

GlobalWorkerOptions.workerSrc = workerUrl;

/** The pages as they will be printed: drawn from the very file that is saved. */
export function PdfPages({ bytes, title }: { bytes: ArrayBuffer; title: string }) {
  const [pdf, setPdf] = useState<PDFDocumentProxy | null>(null);
  const [isUnread, setUnread] = useState(false);
  useEffect(() => {
    // Reading it takes it over: the file that is saved stays whole.
    const loading = getDocument({ data: bytes.slice(0) });
    let isHere = true;
    loading.promise.then((read) => isHere && setPdf(read)).catch(() => isHere && setUnread(true));
    return () => {
      isHere = false;
      void loading.destroy();
    };
  }, [bytes]);
  if (isUnread)
    return (
      <p className={styles.making} role="alert">
        This browser cannot show the pages. The file itself is sound: save it and open it.
      </p>
    );
  if (!pdf) return <DrawingPages />;
  return (
    <ol className={styles.pages} aria-label={`${title}, ${pdf.numPages} pages`}>
      {Array.from({ length: pdf.numPages }, (_each, at) => (
        <li key={at}>
          <Page pdf={pdf} number={at + 1} />
          <span className="quiet small">
            {at + 1} of {pdf.numPages}
          </span>
        </li>
      ))}
    </ol>
  );
}

/** As wide as it is shown, px of CSS. */
const SHOWN_PX = 620;
const USUAL_ASPECT = 1.414;

/** One page, drawn when it comes into sight. */
function Page({ pdf, number }: { pdf: PDFDocumentProxy; number: number }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [isSeen, setSeen] = useState(false);
  const [isDrawn, setDrawn] = useState(false);
  const [aspect, setAspect] = useState(USUAL_ASPECT);
  useEffect(() => {
    const place = canvas.current;
    if (!place) return undefined;
    const watcher = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) setSeen(true);
      },
      { rootMargin: '600px' },
    );
    watcher.observe(place);
    return () => watcher.disconnect();
  }, []);
  useEffect(() => {
    if (!isSeen) return undefined;
    let stop: () => void = () => undefined;
    let isHere = true;
    const draw = async () => {
      const page = await pdf.getPage(number);
      const place = canvas.current;
      if (!place || !isHere) return;
      const plain = page.getViewport({ scale: 1 });
      const scale = (SHOWN_PX * Math.min(2, window.devicePixelRatio || 1)) / plain.width;
      const viewport = page.getViewport({ scale });
      setAspect(plain.height / plain.width);
      place.width = viewport.width;
      place.height = viewport.height;
      const task = page.render({ canvas: place, viewport });
      stop = () => task.cancel();
      await task.promise;
      if (isHere) setDrawn(true);
    };
    // A booklet that is set anew takes the one before it away in the middle of a page: that page is not missed.
    draw().catch(() => undefined);
    return () => {
      isHere = false;
      stop();
    };
  }, [pdf, number, isSeen]);
  return (
    <canvas
      ref={canvas}
      className={styles.sheet}
      style={{ aspectRatio: `1 / ${aspect}` }}
      role="img"
      aria-label={`Page ${number}`}
      aria-busy={!isDrawn}
    />
  );
}
