import type { Problem } from '@lanakit/core/problems';
import { type FirstClassInput, previewFirst, startBody } from '@lanakit/core/starts';
import { Button } from 'antd';
import { useDeferredValue, useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { perform } from '../api/mutations/mutation.ts';
import { makeFirstClass } from '../api/mutations/starts.ts';
import { useWool } from '../api/queries.ts';
import { Loading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { problemsBeside } from '../ui/fields/problemsBeside.ts';
import { begun } from '../ways/begun.ts';
import { Bodies } from './Bodies.tsx';
import { BeginFields } from './BeginFields.tsx';
import { BeginNumbers } from './BeginNumbers.tsx';
import { PieceList } from './PieceList.tsx';
import { LargeFigure } from './LargeFigure.tsx';
import styles from './Begin.module.css';

/** A body that most hands can make, and that shows both colours. */
const FIRST_BODY = 'sits';

/** From nothing to packs: a name, a body, a height, two colours, and who comes. */
export function BeginPage() {
  const { wool, fibres, isReady, error } = useWool();
  const [params] = useSearchParams();
  const [input, setInput] = useState(() => ({
    ...begun(startBody(params.get('body') ?? '')?.id ?? FIRST_BODY),
    title: params.get('title') ?? '',
  }));
  const shown = useDeferredValue(input);
  const preview = useMemo(() => (isReady ? previewFirst(shown, wool) : null), [shown, wool, isReady]);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [isBusy, setBusy] = useState(false);
  const attempt = useAttempt();
  const navigate = useNavigate();
  if (!isReady || !preview) return <Loading error={error} />;
  const change = (more: Partial<FirstClassInput>) => {
    setInput((before) => ({ ...before, ...more }));
    setProblems([]);
  };
  const chooseBody = (bodyId: string) => {
    // Pieces are those of their body.
    const { pieces: _pieces, ...rest } = input;
    setInput({ ...rest, bodyId, heightMm: startBody(bodyId)?.heightMm ?? input.heightMm });
    setProblems([]);
  };
  const make = async () => {
    setBusy(true);
    await attempt(async () => {
      const made = await perform(makeFirstClass(input));
      await navigate(made.runId === null ? `/patterns/${made.patternId}` : `/runs/${made.runId}`);
      return undefined;
    }, problemsBeside(setProblems));
    setBusy(false);
  };
  return (
    <main className={`sheet ${styles.page}`}>
      <form
        aria-label="Begin"
        onSubmit={(event) => {
          event.preventDefault();
          const unread = firstUnread(event.currentTarget);
          unread?.focus();
          if (!unread) void make();
        }}
      >
        <header className={styles.header}>
          <div>
            <h1>Begin a figure</h1>
            <p className="quiet">
              A body, two colours, who comes: the wool is worked out beside it, and everything can be changed
              afterwards. <Link to="/begin/shelf">What is on your shelf?</Link>
            </p>
          </div>
          <Button type="primary" htmlType="submit" loading={isBusy} size="large">
            {input.class ? `Make ${input.class.people} packs` : 'Begin the pattern'}
          </Button>
        </header>
        <Bodies bodyId={input.bodyId} onChoose={chooseBody} />
        <div className={styles.columns}>
          <BeginFields input={input} fibres={fibres} problems={problems} onChange={change} />
          <div className={styles.middle}>
            <LargeFigure figure={preview.look} words={startBody(input.bodyId)?.words ?? ''} />
            <PieceList
              key={input.bodyId}
              bodyId={input.bodyId}
              pieces={input.pieces}
              problems={problems}
              onChange={(pieces) => change({ pieces })}
            />
          </div>
          {/* As many people as its numbers are for: what is typed comes to them a moment later. */}
          <BeginNumbers preview={preview} people={shown.class?.people ?? null} />
        </div>
      </form>
    </main>
  );
}
