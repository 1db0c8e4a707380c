import type { Bench, BenchRun, NamedShort, UnfinishedPattern } from '@lanakit/core/api';
import { isOffShelf, packsOver } from '@lanakit/core/run';
import { findingAmount, joinWords, problemWords, RUN_STATE_WORDS } from '@lanakit/core/words';
import { lazy, Suspense } from 'react';
import { Link } from 'react-router';
import { useBench, useKeeping } from '../api/queries.ts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { ToOrder } from './ToOrder.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { Loading } from '../shell/Loading.tsx';
import { keepingLines } from '../words/keepingWords.ts';
import { counted, PREPARATION_WORDS, showDay, showDaysOff, showGrams, showWeighed } from '../words/show.ts';
import ways from '../ways/Ways.module.css';
import { ToDoToday } from './ToDoToday.tsx';
import styles from './BenchPage.module.css';

/** What needs the maker today. */
export function BenchPage() {
  const { data, error } = useBench();
  if (!data) return <Loading error={error} />;
  const isNew = data.runs.length === 0 && data.unfinished.total === 0 && data.isShelfEmpty;
  return (
    <main className={styles.page}>
      {isNew ? (
        <Suspense fallback={null}>
          <FirstSteps />
        </Suspense>
      ) : (
        <>
          <RunsAhead bench={data} />
          <div className={styles.side}>
            <NotSafe />
            <MissingNeedles bench={data} />
            <ToDoToday bench={data} />
            <ToOrder bench={data} />
            <ShortList bench={data} />
            <Unfinished bench={data} />
          </div>
        </>
      )}
    </main>
  );
}

/** Drawn with all that draws figures: only an empty bench asks for it. */
const FirstSteps = lazy(async () => ({ default: (await import('./FirstSteps.tsx')).FirstSteps }));

function RunsAhead({ bench }: { bench: Bench }) {
  return (
    <section className={`sheet ${styles.runs}`} aria-label="Runs ahead">
      <header className={styles.heading}>
        <h1>Runs ahead</h1>
        <span className={styles.today}>
          <LastBackup />
          <span className="quiet">{showDay(bench.today)}</span>
        </span>
      </header>
      {bench.runs.length === 0 && (
        <p className={styles.empty}>
          Nothing is planned. <Link to="/runs?plan">Plan one</Link>.
        </p>
      )}
      <ul>
        {bench.runs.map((run) => (
          <RunLine key={run.run.id} run={run} today={bench.today} />
        ))}
      </ul>
      {bench.runsAhead < FEW_RUNS && <WhatNext />}
      {bench.runsAhead > bench.runs.length && (
        <p className={styles.more}>
          <Link to="/runs">and {bench.runsAhead - bench.runs.length} more</Link>
        </p>
      )}
    </section>
  );
}

/** With so few runs there is room to say what else could be begun. */
const FEW_RUNS = 3;

function WhatNext() {
  return (
    <nav className={`${ways.ways} ${styles.next}`} aria-label="What could come next">
      <Link to="/begin" className={ways.way}>
        <b>Another figure and its class</b>
        <span>From a body to packs, as short as it gets.</span>
      </Link>
      <Link to="/runs?plan" className={ways.way}>
        <b>Another run</b>
        <span>A class or a batch of kits of a pattern that is published.</span>
      </Link>
      <Link to="/begin/shelf" className={ways.way}>
        <b>More of your shelf</b>
        <span>What is counted is held against every run.</span>
      </Link>
    </nav>
  );
}

/** What lies on the table for it: seats or boxes, and what is over them, each by its own name. */
function packsWords(run: BenchRun['run'], packs: number): string {
  const isKits = run.kind === 'kits';
  const { spares, samples } = packsOver(run, packs);
  return joinWords([
    counted(run.seats, isKits ? 'box' : 'seat', isKits ? 'boxes' : 'seats'),
    ...(spares > 0 ? [counted(spares, 'spare')] : []),
    ...(run.demonstrations > 0 ? [counted(run.demonstrations, 'demonstration')] : []),
    ...(samples > 0 ? [counted(samples, 'half-made sample')] : []),
  ]);
}

/** `24 × Bead eye 4 mm short`; what cannot be counted says why. */
function shortWords({ name, unit, short, itemId }: NamedShort): string {
  if (short === null) return itemId === null ? `${name}: none on the shelf` : `${name} not counted`;
  const words = `${findingAmount(short, unit)} ${unit === 'piece' ? '× ' : ''}${name} short`;
  return itemId === null ? `${words}: none on the shelf` : words;
}

/** Things that are named as short; the others are counted. */
const SHORT_SHOWN = 3;

function RunLine({ run: { run, ...plan }, today }: { run: BenchRun; today: string }) {
  const isReady = plan.short.length + plan.uncounted.length + plan.unknownCount + plan.things.length === 0;
  const short = [
    ...plan.short.map(({ fibreId, name, shortG }) => ({
      key: fibreId,
      words: `${showWeighed(shortG, run.scaleStepG)} ${name} short`,
    })),
    ...plan.things.map((thing) => ({ key: thing.name, words: shortWords(thing) })),
  ];
  return (
    <li>
      <Link to={`/runs/${run.id}`} className={styles.run}>
        <span className={styles.day}>
          <b>{showDay(run.date)}</b>
          <span className="quiet small">{showDaysOff(run.date, today)}</span>
        </span>
        <FigureStrip figure={plan.figure} width={208} height={64} />
        <span className={styles.what}>
          <span className={styles.name}>{run.name}</span>
          <span className="quiet">
            {plan.titles.length > 1
              ? plan.titles.join(', ')
              : `${plan.titles[0] ?? ''}, revision ${plan.revisionNumber}`}
          </span>
          <span className="quiet">
            {packsWords(run, plan.packs)}
            {run.state !== 'planned' && <b> · {RUN_STATE_WORDS[run.state]}</b>}
          </span>
        </span>
        <span className={styles.state}>
          <b>{showWeighed(plan.classG, run.scaleStepG)}</b>
          {isReady && (
            <span className="leaf small">
              {isOffShelf(run.state)
                ? 'packed'
                : plan.isToolElsewhere
                  ? 'all that the shelf keeps is there'
                  : 'everything is there'}
            </span>
          )}
          {short.slice(0, SHORT_SHOWN).map(({ key, words }) => (
            <span key={key} className="red small">
              {words}
            </span>
          ))}
          {short.length > SHORT_SHOWN && (
            <span className="red small">and {short.length - SHORT_SHOWN} more short</span>
          )}
          {plan.uncounted.map(({ fibreId, name }) => (
            <span key={fibreId} className="red small">
              {name} not counted
            </span>
          ))}
          {plan.unknownCount > 0 && (
            <span className="red small">{counted(plan.unknownCount, 'amount')} unknown</span>
          )}
        </span>
      </Link>
    </li>
  );
}

/** A needle that a class did not bring back is told here until it is found or given up. */
function MissingNeedles({ bench }: { bench: Bench }) {
  if (bench.missingNeedles.length === 0) return null;
  return (
    <section className={`sheet ${styles.card}`} aria-label="Missing needles">
      <h2>Missing needles</h2>
      <ul className={styles.missing}>
        {bench.missingNeedles.map(({ runId, runName, date, needleId, needleName, missing }) => (
          <li key={`${runId} ${needleId}`}>
            <b className="red">
              {missing} × {needleName}
            </b>
            <Link to={`/runs/${runId}/tray`}>
              {runName}, {showDay(date)}
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Something about the safety of the studio that needs the maker: damage, or no good backup. */
function NotSafe() {
  const { data } = useKeeping();
  const lines = data ? keepingLines(data).filter(({ tone }) => tone !== 'quiet') : [];
  if (lines.length === 0) return null;
  return (
    <section className={`sheet ${styles.card}`} aria-label="Backups">
      <h2>Keeping it safe</h2>
      {lines.map(({ tone, words }) => (
        <p key={words} className={tone}>
          {words}
        </p>
      ))}
      <Link to="/backups">Backups</Link>
    </section>
  );
}

/** Of a studio that is safe no more than when it was last made so. */
function LastBackup() {
  const { data } = useKeeping();
  const line = data && keepingLines(data).find(({ tone }) => tone === 'quiet');
  if (!line) return null;
  return (
    <Link to="/backups" className="quiet small">
      {line.words}
    </Link>
  );
}

/** Things without a swatch stand in line with those that have one. */
const SWATCH_WIDTH = 58;

function ShortList({ bench }: { bench: Bench }) {
  return (
    <section className={`sheet ${styles.card}`} aria-label="Short">
      <h2>Short for what is ahead</h2>
      {bench.short.length + bench.shortThings.length === 0 && (
        <p className="quiet">Nothing: the shelf covers every run.</p>
      )}
      <ul className={styles.short}>
        {bench.short.map((fibre) => (
          <li key={fibre.fibreId}>
            <FibreSwatch fibre={fibre} width={SWATCH_WIDTH} height={24} />
            <Link to={`/shelf?open=${fibre.fibreId}`}>{fibre.name}</Link>
            <span className="quiet small">{PREPARATION_WORDS[fibre.preparation]}</span>
            <b className="red">{showGrams(fibre.shortG)}</b>
          </li>
        ))}
        {bench.shortThings.map((thing) => (
          <li key={thing.name}>
            <span style={{ width: SWATCH_WIDTH }} />
            {thing.itemId === null ? (
              <span>{thing.name}</span>
            ) : (
              <Link to={`/shelf?open=${thing.itemId}`}>{thing.name}</Link>
            )}
            <span className="quiet small">
              {thing.putUps !== null && thing.putUps > 0 ? counted(thing.putUps, 'pack') : ''}
            </span>
            <b className="red">
              {thing.short === null ? 'not counted' : findingAmount(thing.short, thing.unit)}
            </b>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Unfinished({ bench: { unfinished } }: { bench: Bench }) {
  const more = unfinished.total - unfinished.items.length;
  return (
    <section className={`sheet ${styles.card}`} aria-label="Patterns with something unknown">
      <h2>Patterns with something unknown</h2>
      {unfinished.total === 0 && <p className="quiet">None: every pattern can be published.</p>}
      <ul className={styles.unfinished}>
        {unfinished.items.map((pattern) => (
          <UnfinishedLine key={pattern.id} pattern={pattern} />
        ))}
      </ul>
      {more > 0 && <Link to="/patterns?unknown">and {more} more</Link>}
    </section>
  );
}

function UnfinishedLine({ pattern }: { pattern: UnfinishedPattern }) {
  const more = pattern.missingCount - pattern.missing.length;
  return (
    <li>
      <FigureStrip figure={pattern.figure} width={120} height={70} />
      <div>
        <Link to={`/patterns/${pattern.id}`}>{pattern.title}</Link>
        <ul>
          {pattern.missing.map(({ problem, partName }) => (
            <li key={problem.code + problem.pointer} className="small">
              {partName !== null && <b>{partName}: </b>}
              {problemWords(problem)}
            </li>
          ))}
          {more > 0 && <li className="quiet small">and {more} more</li>}
        </ul>
      </div>
    </li>
  );
}
