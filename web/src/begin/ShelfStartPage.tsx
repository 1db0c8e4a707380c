import {
  SHELF_GROUPS,
  SHELF_KINDS,
  type ShelfGroup,
  type ShelfKind,
  type ShelfPick,
} from '@lanakit/core/starts';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { perform } from '../api/mutations/mutation.ts';
import { startShelf } from '../api/mutations/starts.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { firstUnread } from '../ui/fields/firstUnread.ts';
import { counted } from '../words/show.ts';
import { KindRow } from './KindRow.tsx';
import begin from './Begin.module.css';
import styles from './ShelfStart.module.css';

const GROUP_WORDS: Readonly<Record<ShelfGroup, string>> = {
  core: 'For cores',
  coloured: 'To be seen, in colours',
  special: 'For special things',
  findings: 'Wire, eyes and the like',
  needles: 'Needles',
  tools: 'Tools',
};

/** What an ordinary shelf holds: ticked, its colours picked, and how much of it there is. */
export function ShelfStartPage() {
  const [picks, setPicks] = useState<readonly ShelfPick[]>([]);
  const [isBusy, setBusy] = useState(false);
  const attempt = useAttempt();
  const navigate = useNavigate();
  const put = async () => {
    setBusy(true);
    await attempt(async () => {
      const { ids } = await perform(startShelf({ picks: [...picks] }));
      await navigate('/shelf');
      return { text: `${counted(ids.length, 'thing')} put on the shelf.` };
    });
    setBusy(false);
  };
  const setOf = (kind: ShelfKind, chosen: readonly ShelfPick[]) =>
    setPicks((before) => [...before.filter(({ kindId }) => kindId !== kind.id), ...chosen]);
  return (
    <main className={`sheet ${begin.page}`}>
      <form
        aria-label="A shelf to start from"
        onSubmit={(event) => {
          event.preventDefault();
          const unread = firstUnread(event.currentTarget);
          unread?.focus();
          if (!unread) void put();
        }}
      >
        <header className={begin.header}>
          <div>
            <h1>What is on your shelf?</h1>
            <p className="quiet">
              Tick what you have. Weights and lengths are what is usual, ours until you have measured yours.
              Or <Link to="/shelf/import">bring in a list</Link> you have.
            </p>
          </div>
          <Button
            type="primary"
            htmlType="submit"
            size="large"
            disabled={picks.length === 0}
            loading={isBusy}
          >
            {picks.length === 0 ? 'Nothing ticked yet' : `Put ${counted(picks.length, 'thing')} on it`}
          </Button>
        </header>
        <div className={styles.groups}>
          {SHELF_GROUPS.map((group) => (
            <section key={group} aria-labelledby={`group-${group}`}>
              <h2 id={`group-${group}`}>{GROUP_WORDS[group]}</h2>
              <ul>
                {SHELF_KINDS.filter((kind) => kind.group === group).map((kind) => (
                  <KindRow
                    key={kind.id}
                    kind={kind}
                    picks={picks.filter(({ kindId }) => kindId === kind.id)}
                    onPicks={(chosen) => setOf(kind, chosen)}
                  />
                ))}
              </ul>
            </section>
          ))}
        </div>
      </form>
    </main>
  );
}
