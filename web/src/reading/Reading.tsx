import {
  estimatePattern,
  type PackedWool,
  type Pattern,
  type Reader,
  readingOf,
  type Wool,
} from '@lanakit/core';
import { grantsWords } from '@lanakit/core/words';
import { Button, Segmented } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { piecesOf } from '../figure/pieces.ts';
import { LEVEL_WORDS, showKnownMinutes, showMinutes } from '../words/show.ts';
import styles from './Reading.module.css';
import { Sitting } from './Sitting.tsx';
import { PiecesToMake, YouNeed } from './YouNeed.tsx';

const READER_WORDS: readonly { value: Reader; label: string }[] = [
  { value: 'kit', label: 'with the kit' },
  { value: 'pattern', label: 'with the pattern only' },
];

/** One build to read, beside the pattern it is of. */
export interface Sheet {
  readonly key: string;
  /** With everything that may be left out of it. */
  readonly whole: Pattern;
  readonly build: Pattern;
  /** Which of them it is: a revision, a colourway, whose. */
  readonly what: string;
  /** What has to be known before the first step. */
  readonly notes?: readonly string[];
  /** It is made at home, and not in a class. */
  readonly isAlone?: boolean;
  /** What of the wool is in the packs it is for; null: it is read without a run. */
  readonly packed?: Packed | null;
}

/** Wool of packs, as it was weighed. */
export interface Packed {
  readonly wool: readonly PackedWool[];
  readonly scaleStepG: number;
  /** Makes that the wool of one pack is for. */
  readonly copies: number;
  readonly hasSpareBag: boolean;
  /** Colours of what is not chosen yet lie out for them. */
  readonly hasLaidOut: boolean;
}

interface ReadingProps {
  sheets: readonly Sheet[];
  wool: Wool;
  usualReader: Reader;
  back: ReactNode;
  /** More to choose above the sheets. */
  children?: ReactNode;
}

/** Builds on sheets to read and print, each from a page of its own. */
export function Reading({ sheets, wool, usualReader, back, children }: ReadingProps) {
  const [reader, setReader] = useState<Reader>(usualReader);
  return (
    <main className={styles.desk}>
      <div className={`${styles.tools} no-print`}>
        {back}
        <span className={styles.ways}>
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
        <ReadingSheet key={sheet.key} sheet={sheet} wool={wool} reader={reader} />
      ))}
    </main>
  );
}

const NONE: readonly string[] = [];

function ReadingSheet({ sheet, wool, reader }: { sheet: Sheet; wool: Wool; reader: Reader }) {
  const { whole, build, what, notes = NONE, isAlone = false, packed = null } = sheet;
  const estimate = useMemo(() => estimatePattern(build, wool), [build, wool]);
  const reading = useMemo(() => readingOf(build, estimate, wool, reader), [build, estimate, wool, reader]);
  const pieces = useMemo(
    () => piecesOf(build, estimate, wool.fibres, 'front', whole),
    [build, estimate, wool, whole],
  );
  return (
    <article className={styles.paper}>
      <header className={styles.head}>
        <div>
          <h1>{build.title}</h1>
          <p>
            {LEVEL_WORDS[reading.level]} · {showKnownMinutes(estimate.minutes)} at the author’s pace
            {estimate.waiting.known > 0 && `, and ${showMinutes(estimate.waiting.known)} of waiting`}
            {' · '}
            {what}
          </p>
          {reading.credits.map((credit) => (
            <p key={credit}>{credit}</p>
          ))}
        </div>
        <FigureStrip pieces={pieces} width={300} height={110} />
      </header>
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
      {build.sidesSeen !== null && (
        <p className={styles.small}>
          Left and right are {build.sidesSeen === 'figure' ? 'the figure’s own' : 'as you look at it'}.
        </p>
      )}
      <YouNeed
        build={build}
        estimate={estimate}
        wool={wool}
        tools={reading.tools}
        reader={reader}
        isAlone={isAlone}
        packed={reader === 'kit' ? packed : null}
      />
      <PiecesToMake build={build} estimate={estimate} whole={whole} />
      {reading.sessions.map((sitting, index) => (
        <Sitting key={sitting.session?.id ?? index} sitting={sitting} build={build} />
      ))}
      {build.grants.length > 0 && <p className={styles.small}>{grantsWords(build.grants)}</p>}
      <footer className={styles.foot}>
        Barbed needles are sharp and break: look at the work, pad beneath it. Not a toy for small children.
        What is sold falls under local rules; where in doubt, ask someone qualified.
      </footer>
    </article>
  );
}
