import type { NamedRun, NeedleTray } from '@lanakit/core/api';
import { emptyLine, type Tapped, TAPPED, type TrayLine, trayTotals } from '@lanakit/core/needles';
import type { Needle } from '@lanakit/core/shelf';
import { PILE_WORDS } from '@lanakit/core/words';
import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useNeedles, useRun, useTray } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { counted, showDay } from '../words/show.ts';
import { MissingNeedle } from './MissingNeedle.tsx';
import { TrayNeedle } from './TrayNeedle.tsx';
import styles from './Tray.module.css';
import { runInputOf } from './useRunDraft.ts';
import { useRunKit } from './useRunKit.ts';
import { useUnsentTaps } from './unsentTaps.ts';
import { useRunNews } from './useRunNews.ts';
import { useTrayActions } from './useTrayActions.ts';

const MODE_WORDS: Readonly<Record<Tapped, string>> = {
  out: 'counting out',
  in: 'counting in',
  broken: 'broken',
  sold: 'sold',
};

/** Needles counted out of the tray and back into it, with one tap or one key each. */
export function TrayPage() {
  const { id = '' } = useParams();
  const run = useRun(id);
  const tray = useTray(id);
  const needles = useNeedles();
  const error = run.error ?? tray.error ?? needles.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!run.data || !tray.data || !needles.data) return <Loading error={error} />;
  return <TrayTable run={run.data} tray={tray.data} needles={needles.data.items} />;
}

interface TrayTableProps {
  run: NamedRun;
  tray: NeedleTray;
  needles: readonly Needle[];
}

interface Place {
  readonly needle: Needle;
  readonly line: TrayLine;
  /** How many its kit has; null where no step asks for it. */
  readonly wanted: number | null;
}

function TrayTable({ run, tray, needles }: TrayTableProps) {
  const { kitOfRun: classKit, error: kitError } = useRunKit(run.id, runInputOf(run));
  const [mode, setMode] = useState<Tapped>(tray.lines.some(({ out }) => out > 0) ? 'in' : 'out');
  const { tap, close, reopen, resolve } = useTrayActions(run.id);
  useRunNews(run.id);
  const unsent = useUnsentTaps(run.id);
  const isClosed = tray.closedAt !== null;
  const wanted = new Map(
    classKit?.kit.lines.flatMap(({ needle, total }) => (needle ? [[needle.id, total] as const] : [])) ?? [],
  );
  const places = placesOf(tray, needles, wanted);
  const { stillOut, out } = trayTotals(tray.lines);
  const byKey = (event: KeyboardEvent, amount: 1 | -1) => {
    const place = places[Number(event.code.replace('Digit', '')) - 1];
    if (place && !isClosed) void tap(place.needle.id, mode, amount);
  };
  useHotkeys('1,2,3,4,5,6,7,8,9', (event) => byKey(event, 1), { useKey: false }, [places, mode, isClosed]);
  useHotkeys(
    'shift+1,shift+2,shift+3,shift+4,shift+5,shift+6,shift+7,shift+8,shift+9',
    (event) => byKey(event, -1),
    {},
    [places, mode, isClosed],
  );
  useHotkeys('o', () => setMode('out'));
  useHotkeys('i', () => setMode('in'));
  useHotkeys('b', () => setMode('broken'));
  useHotkeys('s', () => setMode('sold'));
  return (
    <main className={styles.page}>
      <header className={`sheet ${styles.head}`}>
        <div>
          <h1>Needle count</h1>
          <Link to={`/runs/${run.id}/needles`}>
            {run.name}, {showDay(run.date)}
          </Link>
          {unsent > 0 && <p className="amber">{counted(unsent, 'tap')} not sent yet, kept here</p>}
        </div>
        {!isClosed && (
          <Segmented<Tapped>
            size="large"
            aria-label="What is counted"
            value={mode}
            onChange={setMode}
            options={TAPPED.map((pile) => ({ value: pile, label: MODE_WORDS[pile] }))}
          />
        )}
        <p className={styles.sum} role="status">
          {isClosed ? (
            <Closed lines={tray.lines} />
          ) : out === 0 ? (
            'None out yet'
          ) : (
            <>
              <b>{stillOut}</b> of {out} still out
            </>
          )}
        </p>
        {isClosed ? (
          <Button size="large" onClick={() => void reopen()}>
            Open the count again
          </Button>
        ) : (
          <Button size="large" type="primary" disabled={out === 0} onClick={() => void close()}>
            All have gone: close the count
          </Button>
        )}
      </header>
      {tray.lines.some(({ missing }) => missing > 0) && (
        <section className={`sheet ${styles.missing}`} aria-label="Missing needles">
          <p>
            Look before anyone kneels or sits down: mats, foam, clothes, the floor with a magnet. A needle in
            skin, or a tip left in: medical help.
          </p>
          {places
            .filter(({ line }) => line.missing > 0)
            .map(({ needle, line }) => (
              <MissingNeedle key={needle.id} needle={needle} missing={line.missing} onResolve={resolve} />
            ))}
        </section>
      )}
      {places.length === 0 && (
        <p className={`sheet ${styles.none}`}>
          {classKit
            ? 'No step of this class takes a needle, and none was counted out.'
            : kitError
              ? 'Which needles this class takes could not be read. None was counted out yet.'
              : 'Reading which needles this class takes…'}
        </p>
      )}
      <div className={styles.tray}>
        {places.map(({ needle, line, wanted: asked }, index) => (
          <TrayNeedle
            key={needle.id}
            needle={needle}
            place={index}
            line={line}
            wanted={asked}
            mode={mode}
            isClosed={isClosed}
            onTap={(amount) => void tap(needle.id, mode, amount)}
          />
        ))}
      </div>
      {!isClosed && (
        <p className={`quiet ${styles.keys}`}>
          Keys: <kbd>1</kbd>–<kbd>9</kbd> one more of that needle, with <kbd>Shift</kbd> one less;{' '}
          <kbd>O</kbd> <kbd>I</kbd> <kbd>B</kbd> <kbd>S</kbd> out, in, broken, sold.
        </p>
      )}
    </main>
  );
}

function Closed({ lines }: { lines: readonly TrayLine[] }) {
  const { out, in: back, broken, sold, missing, givenUp } = trayTotals(lines);
  return (
    <>
      {out} out = {back} {PILE_WORDS.in} + {broken} {PILE_WORDS.broken} + {sold} {PILE_WORDS.sold} +{' '}
      {missing === 0 ? missing : <b className="red">{missing}</b>} {PILE_WORDS.missing}
      {givenUp > 0 && ` + ${givenUp} ${PILE_WORDS['given-up']}`}
    </>
  );
}

/** What the class asks for, then whatever else was counted out. */
function placesOf(
  tray: NeedleTray,
  needles: readonly Needle[],
  wanted: ReadonlyMap<string, number>,
): Place[] {
  const ids = [...new Set([...wanted.keys(), ...tray.lines.map(({ needleId }) => needleId)])];
  return ids.flatMap((id) => {
    const needle = needles.find((candidate) => candidate.id === id);
    const line = tray.lines.find(({ needleId }) => needleId === id) ?? emptyLine(id);
    return needle ? [{ needle, line, wanted: wanted.get(id) ?? null }] : [];
  });
}
