import type { UnknownReason } from '@lanakit/core/engine';
import { withoutMeant } from '@lanakit/core/review';
import {
  ALL_REMARKS,
  type MeantLine,
  type RemarksWanted,
  remarksWanted,
  type ReviewRead,
  ROLE_WORDS,
  unknownWords,
} from '@lanakit/core/words';
import { Button } from 'antd';
import { useDeferredValue, useEffect, useMemo, useState } from 'react';
import { REVIEW_FAILED } from '../../review/reviewFailed.ts';
import { useReview } from '../../review/useReview.ts';
import { ownerName } from '../../words/ownerWords.ts';
import { counted } from '../../words/show.ts';
import { tellRemarks } from '../table/remarkCounts.ts';
import { useTable, useTableStore } from '../table/tableContext.ts';
import styles from './Ledger.module.css';
import { RemarkRow } from './RemarkRow.tsx';
import { type RemarkWays, shownByBuild } from './remarkPlaces.ts';
import { WhichRemarks } from './WhichRemarks.tsx';

/** Told under “To settle” already, because they stand in the document itself. */
const IN_THE_DOCUMENT = new Set<UnknownReason>([
  'sizes_missing',
  'outline_missing',
  'weight_missing',
  'part_impossible',
  'count_missing',
  'loose_end_unknown',
  'fibre_missing',
  'fibre_not_found',
  'amount_missing',
  'amount_incomplete',
]);

const NOTHING_READ: ReviewRead = { open: [], meant: [] };
/** More at once nobody mends. */
const SHOWN = 8;

/** What its author has looked at and means so, with her reason; asked again when she wants it asked. */
function MeantLines({ meant }: { meant: readonly MeantLine[] }) {
  const table = useTableStore();
  const askAgain = ({ remark }: MeantLine) => {
    const { document, edit } = table.getState();
    edit('meant so', (draft) => void (draft.meant = withoutMeant(document, remark)));
  };
  return (
    <details className={styles.meantList}>
      <summary>Meant so: {counted(meant.length, 'thing')}</summary>
      <ul>
        {meant.map((line) => (
          <li key={line.key}>
            <b>{line.place}</b> {line.words}
            {line.reason !== '' && <span className="quiet"> “{line.reason}”</span>}{' '}
            <Button size="small" type="text" onClick={() => askAgain(line)}>
              Ask again
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

interface Line {
  readonly key: string;
  readonly name: string;
  readonly words: string;
  readonly isUnknown: boolean;
  readonly go: () => void;
}

/** What only the shelf or the build that is looked at can tell. */
function useLinesOfNow({ onChoosePart, onShow }: RemarkWays): readonly Line[] {
  const build = useTable((table) => table.build);
  const estimate = useTable((table) => table.estimate);
  const later = useDeferredValue(useTable((table) => table.document));
  const unknown = useMemo(
    () =>
      estimate.uses.flatMap((use): Line[] =>
        use.kind === 'known' || IN_THE_DOCUMENT.has(use.reason)
          ? []
          : [
              {
                key: use.useId,
                name: `${ownerName(use.owner, later)} ${ROLE_WORDS[use.role]}`,
                words: `unknown: ${unknownWords(use.reason)}.`,
                isUnknown: true,
                go: () => (use.owner.kind === 'part' ? onChoosePart(use.owner.id) : onShow('joins')),
              },
            ],
      ),
    [estimate, later, onChoosePart, onShow],
  );
  const shown = useMemo(
    () =>
      shownByBuild(later, build).map(({ partId, name, words }): Line => ({
        key: `shown ${partId}`,
        name,
        words,
        isUnknown: false,
        go: () => onChoosePart(partId),
      })),
    [later, build, onChoosePart],
  );
  return useMemo(() => [...unknown, ...shown], [unknown, shown]);
}

/** What can be made as it stands and still ought to be seen, as one comes to it; and amounts that only the shelf can tell. */
export function ToLookAt({ onChoosePart, onShow, onOpenStep, onTogether }: RemarkWays) {
  const ways = useMemo(
    () => ({ onChoosePart, onShow, onOpenStep, onTogether }),
    [onChoosePart, onShow, onOpenStep, onTogether],
  );
  const lines = useLinesOfNow(ways);
  const wool = useTable((table) => table.wool);
  const later = useDeferredValue(useTable((table) => table.document));
  const state = useReview(later, wool);
  const { open, meant } = state.kind === 'read' ? state.review : NOTHING_READ;
  useEffect(() => tellRemarks(open.map(({ remark }) => remark)), [open]);
  useEffect(() => () => tellRemarks([]), []);
  const [wanted, setWanted] = useState<RemarksWanted>(ALL_REMARKS);
  const [isAll, setAll] = useState(false);
  const found = remarksWanted(open, wanted);
  const count = lines.length + open.length;
  if (count + meant.length === 0 && state.kind !== 'failed') return null;
  return (
    <section className={styles.settle} aria-label="To look at">
      <h3 className={count > 0 ? 'amber' : ''}>To look at: {counted(count, 'thing')}</h3>
      {(open.length > SHOWN || Object.values(wanted).some((only) => only !== null)) && (
        <WhichRemarks lines={open} wanted={wanted} onWant={setWanted} />
      )}
      <ul>
        {lines.map(({ key, name, words, isUnknown, go }) => (
          <li key={key}>
            <button type="button" className={`plain-button ${isUnknown ? 'red' : ''}`} onClick={go}>
              <b>{name}</b> {words}
            </button>
          </li>
        ))}
        {found.slice(0, isAll ? undefined : SHOWN).map((line) => (
          <RemarkRow key={line.key} line={line} ways={ways} />
        ))}
      </ul>
      {found.length === 0 && open.length > 0 && <p className="quiet">Nothing of that.</p>}
      {found.length > SHOWN && (
        <Button size="small" onClick={() => setAll(!isAll)}>
          {isAll ? `Only the first ${SHOWN}` : `Show ${found.length - SHOWN} more`}
        </Button>
      )}
      {state.kind === 'failed' && <p className="red">{REVIEW_FAILED}</p>}
      {meant.length > 0 && <MeantLines meant={meant} />}
    </section>
  );
}
