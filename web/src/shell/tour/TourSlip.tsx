import { Button } from 'antd';
import { useEffect, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import useSWR from 'swr';
import type { OpenedRun } from '@lanakit/core/api';
import { get } from '../../api/client.ts';
import styles from '../Shell.module.css';
import { stopAt, TOUR_STOPS } from './tourStops.ts';
import { useTour } from './tourStore.ts';

/** Over the place: which stop of the tour it is, what it shows, and the ways on, back and out. */
export function TourSlip() {
  const { stop, runId, patternId, leave, arrive } = useTour();
  const { pathname } = useLocation();
  const navigate = useNavigate();
  const isLost = useIsNotThere();
  useFollow();
  const shown = stop === null ? undefined : TOUR_STOPS[stop];
  if (stop === null || !shown) return null;
  const go = (to: number) => {
    const path = TOUR_STOPS[to]?.pathOf({ runId, patternId });
    if (path === null || path === undefined) return;
    arrive(to, {});
    void navigate(path);
  };
  const canGo = (to: number) => (TOUR_STOPS[to]?.pathOf({ runId, patternId }) ?? null) !== null;
  const isHere = shown.isAt(pathname);
  const deed = isHere ? shown.deed : null;
  return (
    <section className={`${styles.slip} no-print`} aria-label="The first run, shown">
      <span className={styles.slipStop}>
        {stop + 1} of {TOUR_STOPS.length}
      </span>
      <p>
        <b>{shown.title}.</b> {shown.words}
        {isLost.value && <span className="amber"> That is not on this page any more.</span>}
      </p>
      <div className={styles.slipWays}>
        {!isHere && <Button onClick={() => go(stop)}>Take me there</Button>}
        {deed && (
          <Button onClick={() => void whenThere(deed.run).then((isDone) => isLost.set(!isDone))}>
            {deed.name}
          </Button>
        )}
        {canGo(stop + 1) && (
          <Button type="primary" onClick={() => go(stop + 1)}>
            Next stop
          </Button>
        )}
        <Button type="text" onClick={leave}>
          {stop === TOUR_STOPS.length - 1 ? 'Done' : 'Leave the tour'}
        </Button>
      </div>
    </section>
  );
}

/** A page that is still being drawn has nothing to press yet. */
const PATIENCE_MS = 10_000;

/** Does it as soon as the page has it. @returns false: it never had */
function whenThere(run: () => boolean): Promise<boolean> {
  if (run()) return Promise.resolve(true);
  return new Promise((resolve) => {
    const end = (isDone: boolean) => {
      watcher.disconnect();
      clearTimeout(patience);
      resolve(isDone);
    };
    const watcher = new MutationObserver(() => {
      if (run()) end(true);
    });
    const patience = setTimeout(() => end(false), PATIENCE_MS);
    watcher.observe(document.body, { childList: true, subtree: true });
  });
}

/** What it was to do was not found: said until another page is shown. */
function useIsNotThere() {
  const { pathname } = useLocation();
  const [lostAt, setLostAt] = useState<string | null>(null);
  return { value: lostAt === pathname, set: (isLost: boolean) => setLostAt(isLost ? pathname : null) };
}

/** Whoever goes on by hand is followed; what was made is remembered for the stops after it. */
function useFollow(): void {
  const { pathname } = useLocation();
  const { stop, runId, arrive } = useTour();
  useEffect(() => {
    const here = stopAt(pathname);
    if (stop === null || here === null || (stop === 0 && here > 1)) return;
    const metRun = /^\/runs\/([^/]+)/.exec(pathname)?.[1];
    if (here === stop && (metRun === undefined || metRun === runId)) return;
    arrive(here, metRun === undefined ? {} : { runId: metRun });
  }, [pathname, stop, runId, arrive]);
  usePatternOfRun(runId);
}

function usePatternOfRun(runId: string | null): void {
  const { stop, patternId, arrive } = useTour();
  const { data } = useSWR(runId === null ? null : `/runs/${runId}`, get<OpenedRun>, {
    revalidateOnFocus: false,
  });
  const found = data?.patternId ?? null;
  useEffect(() => {
    if (stop !== null && found !== null && found !== patternId) arrive(stop, { patternId: found });
  }, [stop, found, patternId, arrive]);
}
