import type { Wool } from '@lanakit/core/engine';
import { type Guide, type GuidePage, type GuideRequest, guideSvg } from '@lanakit/core/papers';
import { PAGE_SIZES_MM, type PageSize } from '@lanakit/core/run';
import { Button, Segmented } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import { StillLoading } from '../shell/Loading.tsx';
import { counted } from '../words/show.ts';
import styles from './Guide.module.css';
import { ScreenMeasure } from './ScreenMeasure.tsx';
import { USUAL_PX_PER_MM, useTrueSize } from './trueSize.ts';
import { useGuide } from './useGuide.ts';

type Scale = 'whole' | 'true';

interface GuideSheetsProps {
  request: GuideRequest;
  wool: Wool;
  back: ReactNode;
  /** Where the server sets it: `/api/patterns/ID/guide`. */
  base: string;
  /** Of which build, as the server is asked for it; empty: the usual one. */
  query: URLSearchParams;
  /** More to choose above the pages. */
  children?: ReactNode;
}

/** The guide at true size: its pages as they are printed, whole or as large as they are. */
export function GuideSheets({ request, wool, back, base, query, children }: GuideSheetsProps) {
  const [page, setPage] = useState<PageSize>('a4');
  const [scale, setScale] = useState<Scale>('whole');
  const [isMeasuring, setMeasuring] = useState(false);
  const known = useTrueSize();
  const laid = useGuide(request, wool, page);
  const fileQuery = (more: Record<string, string>) =>
    new URLSearchParams([...query, ...Object.entries({ page, ...more })]).toString();
  return (
    <main className={styles.desk}>
      <h1 className="visually-hidden">Guide at true size</h1>
      <div className={`${styles.tools} no-print`}>
        {back}
        <span className={styles.ways}>
          <Segmented<PageSize>
            aria-label="Page"
            value={page}
            onChange={setPage}
            options={[
              { value: 'a4', label: 'A4' },
              { value: 'letter', label: 'Letter' },
            ]}
          />
          <Segmented<Scale>
            aria-label="On this screen"
            value={scale}
            onChange={setScale}
            options={[
              { value: 'whole', label: 'whole pages' },
              { value: 'true', label: 'true size' },
            ]}
          />
          <Button onClick={() => setMeasuring(true)}>Measure this screen…</Button>
          <Button onClick={() => window.print()}>Print</Button>
          <Button type="primary" href={`${base}/pdf?${fileQuery({})}`} download>
            PDF
          </Button>
        </span>
      </div>
      <div className={`${styles.tools} no-print`}>
        {children}
        <span className="quiet small">
          {laid.kind === 'laid' && `${counted(laid.guide.pages.length, 'page')}. `}
          {scale === 'true' && known === null
            ? 'As large as browsers take it to be: measure this screen to be sure.'
            : 'Print at 100 %, not “fit to page”.'}
        </span>
      </div>
      {isMeasuring && <ScreenMeasure onClose={() => setMeasuring(false)} />}
      {laid.kind === 'laid' ? (
        <Pages
          guide={laid.guide}
          page={page}
          pxPerMm={scale === 'true' ? (known ?? USUAL_PX_PER_MM) : null}
          hrefOf={(sheet) => `${base}/svg?${fileQuery({ sheet: String(sheet) })}`}
        />
      ) : (
        <StillLoading error={laid.kind === 'failed' ? laid.error : undefined} />
      )}
    </main>
  );
}

interface PagesProps {
  guide: Guide;
  page: PageSize;
  /** Null: as large as there is room for. */
  pxPerMm: number | null;
  hrefOf: (sheet: number) => string;
}

function Pages({ guide, page, pxPerMm, hrefOf }: PagesProps) {
  if (guide.pages.length === 0)
    return (
      <p className={styles.nothing}>
        There is nothing to hold a piece against yet: give a part its shape and its size.
      </p>
    );
  return (
    <>
      {/* Printed, a page is as large as it is, and nothing round it. */}
      <style>{`@page { size: ${page === 'a4' ? 'A4' : 'letter'}; margin: 0; }`}</style>
      {guide.pages.map((guidePage, at) => (
        <figure key={at} className={styles.page} aria-label={`Page ${at + 1} of ${guide.pages.length}`}>
          <Drawn guidePage={guidePage} page={page} pxPerMm={pxPerMm} />
          <figcaption className="no-print">
            <a href={hrefOf(at + 1)} download>
              this page as SVG
            </a>
          </figcaption>
        </figure>
      ))}
    </>
  );
}

interface DrawnProps {
  guidePage: GuidePage;
  page: PageSize;
  pxPerMm: number | null;
}

/** The very drawing that is printed and saved. */
function Drawn({ guidePage, page, pxPerMm }: DrawnProps) {
  const svg = useMemo(() => guideSvg(guidePage, page), [guidePage, page]);
  const { widthMm, heightMm } = PAGE_SIZES_MM[page];
  const onScreen = pxPerMm === null ? {} : { width: widthMm * pxPerMm, height: heightMm * pxPerMm };
  const onPaper = { '--page-width': `${widthMm}mm`, '--page-height': `${heightMm}mm` };
  return (
    <div
      className={pxPerMm === null ? styles.whole : styles.true}
      style={{ ...onPaper, ...onScreen }}
      // Its words are escaped where it is written.
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
