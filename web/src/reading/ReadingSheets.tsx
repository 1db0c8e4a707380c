import { NO_SURROUNDINGS, stepTotals } from '@lanakit/core/pattern';
import { estimatePattern, type Wool } from '@lanakit/core/engine';
import { piecesToMake, type Reader, readingOf } from '@lanakit/core/reading';
import { grantsWords } from '@lanakit/core/words';
import { Button, Segmented } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { lookOfBuild } from '@lanakit/core/figure';
import { LEVEL_WORDS, showPace, showMinutes } from '../words/show.ts';
import styles from './Reading.module.css';
import { Sittings } from './Sitting.tsx';
import { BeforeCutting } from './BeforeCutting.tsx';
import { Pieces } from './Pieces.tsx';
import { ProofOfWhole } from './Proof.tsx';
import type { Sheet } from './sheet.ts';
import { YouNeed } from './YouNeed.tsx';

const READER_WORDS: readonly { value: Reader; label: string }[] = [
  { value: 'kit', label: 'with the kit' },
  { value: 'pattern', label: 'with the pattern only' },
];

type View = 'all' | 'cuts';

const VIEW_WORDS: readonly { value: View; label: string }[] = [
  { value: 'all', label: 'the whole pattern' },
  { value: 'cuts', label: 'before you cut' },
];

interface ReadingProps {
  sheets: readonly Sheet[];
  wool: Wool;
  usualReader: Reader;
  back: ReactNode;
  /** More to choose above the sheets. */
  children?: ReactNode;
}

/** Builds on sheets to read and print, each from a page of its own. */
export function ReadingSheets({ sheets, wool, usualReader, back, children }: ReadingProps) {
  const [reader, setReader] = useState<Reader>(usualReader);
  const [view, setView] = useState<View>('all');
  return (
    <main className={styles.desk}>
      <div className={`${styles.tools} no-print`}>
        {back}
        <span className={styles.ways}>
          <Segmented<View>
            aria-label="What of it"
            value={view}
            onChange={setView}
            options={[...VIEW_WORDS]}
          />
          <Segmented<Reader>
            aria-label="Who reads it"
            value={reader}
            onChange={setReader}
            options={[...READER_WORDS]}
          />
          <Button type="primary" onClick={() => window.print()}>
            Print
          </Button>
        </span>
        {children}
      </div>
      {sheets.map((sheet) => (
        <ReadingSheet key={sheet.key} sheet={sheet} wool={wool} reader={reader} view={view} />
      ))}
    </main>
  );
}

const NONE: readonly string[] = [];

interface ReadingSheetProps {
  sheet: Sheet;
  wool: Wool;
  reader: Reader;
  view: View;
}

/** One build to read: with the pack beside it, or by the pattern alone. */
export function ReadingSheet({ sheet, wool, reader, view }: ReadingSheetProps) {
  const { whole, build, what, notes = NONE, isAlone = false, packed = null } = sheet;
  const { surroundings = NO_SURROUNDINGS } = sheet;
  const bag = reader === 'kit' ? packed : null;
  const estimate = useMemo(() => estimatePattern(build, wool), [build, wool]);
  const totals = useMemo(() => stepTotals(build), [build]);
  const reading = useMemo(() => readingOf(build, estimate, wool, reader), [build, estimate, wool, reader]);
  const pieces = useMemo(() => piecesToMake(build, whole, estimate, wool), [build, whole, estimate, wool]);
  const figure = useMemo(() => lookOfBuild(build, estimate, wool, whole), [build, estimate, wool, whole]);
  return (
    <article className={styles.paper}>
      <header className={styles.head}>
        <div>
          <h1>{build.title}</h1>
          <p>
            {LEVEL_WORDS[reading.level]} · {showPace(build, totals.minutes)}
            {totals.waiting.known > 0 && `, and ${showMinutes(totals.waiting.known)} of waiting`}
            {' · '}
            {what}
          </p>
          {reading.credits.map((credit) => (
            <p key={credit}>{credit}</p>
          ))}
        </div>
        <FigureStrip figure={figure} width={300} height={110} />
      </header>
      <ProofOfWhole />
      {notes.map((note) => (
        <p key={note}>
          <b>{note}</b>
        </p>
      ))}
      {build.prerequisites !== '' && (
        <p>
          <b>Before you begin:</b> {build.prerequisites}
        </p>
      )}
      {surroundings.before.length > 0 && (
        <p>
          <b>Make first:</b> {surroundings.before.map(({ title }) => title).join(', ')}
        </p>
      )}
      {build.sidesSeen !== null && (
        <p className={styles.small}>
          Left and right are {build.sidesSeen === 'figure' ? 'the figure’s own' : 'as you look at it'}.
        </p>
      )}
      {view === 'cuts' ? (
        <BeforeCutting build={build} estimate={estimate} pieces={pieces} wool={wool} />
      ) : (
        <>
          <YouNeed
            build={build}
            whole={whole}
            estimate={estimate}
            wool={wool}
            tools={reading.tools}
            reader={reader}
            isAlone={isAlone}
            packed={bag}
          />
          <Pieces pieces={pieces} build={build} wool={wool} />
          <Sittings
            reading={reading}
            build={build}
            estimate={estimate}
            wool={wool}
            packed={bag}
            reader={reader}
          />
        </>
      )}
      {build.grants.length > 0 && <p className={styles.small}>{grantsWords(build.grants)}</p>}
      <footer className={styles.foot}>
        Barbed needles are sharp and break: look at the work, pad beneath it. Not a toy for small children.
        What is sold falls under local rules; where in doubt, ask someone qualified.
      </footer>
    </article>
  );
}
