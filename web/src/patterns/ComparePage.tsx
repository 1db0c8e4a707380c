import { defaultBuild } from '@lanakit/core/build';
import { estimatePattern } from '@lanakit/core/engine';
import { stepTotals, type Pattern } from '@lanakit/core/pattern';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { ApiProblem, errorWords } from '../api/client.ts';
import { useDraftOf, useRevision, useRevisionNames, useWool } from '../api/queries.ts';
import { lookOfBuild } from '@lanakit/core/figure';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { Loading } from '../shell/Loading.tsx';
import { showGrams, revisionName, showPace, showKnownPart, showMoney, showRange } from '../words/show.ts';
import { BuildSelect } from './BuildSelect.tsx';
import { BuildTable } from './BuildTable.tsx';
import { Changes } from './Changes.tsx';
import styles from './ComparePage.module.css';

/** Two revisions, or two patterns, side by side: what is it that differs? */
export function ComparePage() {
  const [params, setParams] = useSearchParams();
  const wool = useWool();
  const [a, b] = [params.get('a'), params.get('b')];
  const [{ build: first, error: firstError }, { build: two, error: twoError }] = [useBuild(a), useBuild(b)];
  const names = [useBuildName(a, first), useBuildName(b, two)] as const;
  const choose = (side: 'a' | 'b', key: string | null) => {
    const next = new URLSearchParams(params);
    if (key) next.set(side, key);
    setParams(next, { replace: true });
  };
  const builds = useMemo(() => {
    if (!first || !two || !wool.isReady) return null;
    const build = (whole: Pattern) => {
      const pattern = defaultBuild(whole);
      return { pattern, estimate: estimatePattern(pattern, wool.wool) };
    };
    return [build(first), build(two)] as const;
  }, [first, two, wool.isReady, wool.wool]);
  if (!wool.isReady) return <Loading error={wool.error} />;
  return (
    <main className={styles.page}>
      <header className={`sheet ${styles.heading}`}>
        <h1>Side by side</h1>
        <BuildSelect label="This" buildKey={a} name={names[0]} onChoose={(key) => choose('a', key)} />
        <BuildSelect label="beside that" buildKey={b} name={names[1]} onChoose={(key) => choose('b', key)} />
      </header>
      {builds ? (
        <>
          <div className={styles.figures}>
            {builds.map(({ pattern, estimate }, index) => (
              <section key={index} className={`sheet ${styles.figure}`}>
                <FigureStrip figure={lookOfBuild(pattern, estimate, wool.wool)} width={540} height={130} />
                <p>
                  <b>{pattern.title}</b>, {names[index]?.split(', ').at(-1)}
                  <span className="quiet">
                    {' '}
                    · {showGrams(estimate.total.likelyG)} ({showRange(estimate.total)}) ·{' '}
                    {showPace(pattern, stepTotals(pattern).minutes)} · wool{' '}
                    {showKnownPart(estimate.costMinor, showMoney)}
                  </span>
                </p>
              </section>
            ))}
          </div>
          <section className={`sheet ${styles.lines}`} aria-label="Differences">
            <BuildTable
              a={builds[0]}
              b={builds[1]}
              names={sideNames(names[0] || undefined, names[1] || undefined)}
            />
          </section>
          {first && two && <Changes before={first} after={two} wool={wool.wool} />}
        </>
      ) : (
        <p className={`sheet ${styles.empty}`}>
          <WhyNothing isChosen={a !== null && b !== null} error={firstError ?? twoError} />
        </p>
      )}
    </main>
  );
}

/** Why no two figures stand here. */
function WhyNothing({ isChosen, error }: { isChosen: boolean; error: Error | undefined }) {
  if (!isChosen) return 'Choose two revisions or patterns: they are set line by line.';
  if (!error) return 'Reading both…';
  return isGone(error)
    ? 'One of the two is no longer here. Choose another.'
    : `${errorWords(error)} It is asked again every few seconds.`;
}

/** What tells the two apart, for the heads of narrow columns: the revision, or the title where those differ. */
function sideNames(a = 'this', b = 'that'): [string, string] {
  const [[titleA, lastA], [titleB, lastB]] = [splitName(a), splitName(b)];
  return titleA === titleB && lastA !== lastB ? [lastA, lastB] : [titleA, titleB];
}

const splitName = (name: string): [title: string, last: string] => {
  const at = name.lastIndexOf(', ');
  return at < 0 ? [name, name] : [name.slice(0, at), name.slice(at + 2)];
};

/** What a draft or a revision is called, by its key: `draft:ID`, `revision:ID`; empty while that is asked for. */
function useBuildName(key: string | null, build: Pattern | null): string {
  const [kind, id] = (key ?? '').split(':');
  const { data: named } = useRevisionNames(kind === 'revision' && id !== undefined ? [id] : []);
  if (kind === 'draft') return build ? `${build.title}, draft` : '';
  const revision = named?.items.find((item) => item.id === id);
  return revision ? revisionName(revision) : '';
}

/** The document behind a key; null while it loads or where there is none. */
function useBuild(key: string | null): { build: Pattern | null; error: Error | undefined } {
  const [kind, id] = (key ?? '').split(':');
  const revision = useRevision(kind === 'revision' ? (id ?? null) : null);
  const draft = useDraftOf(kind === 'draft' ? (id ?? null) : null);
  const { data, error } = kind === 'draft' ? draft : revision;
  return { build: data?.document ?? null, error };
}

const isGone = (error: Error): boolean => error instanceof ApiProblem && error.problem.status === 404;
