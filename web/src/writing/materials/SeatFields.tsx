import { CUT_RUNS, type Cut, type CutSeat } from '@lanakit/core/pattern';
import { CUT_RUNS_WORDS } from '@lanakit/core/words';
import { Choice } from '../../ui/fields/Choice.tsx';
import { LengthField } from '../../ui/fields/LengthField.tsx';
import styles from '../../ui/Lists.module.css';
import { useEditCut, useProblemAt, useTable } from '../table/tableContext.ts';
import { usePartNames } from '../table/useChoices.ts';

/** Where on the figure something cut is seen; its very place is moved about in Together. */
export function SeatFields({ cut, index }: { cut: Cut; index: number }) {
  const parts = usePartNames();
  const lengthUnit = useTable((table) => table.document.lengthUnit);
  const problemAt = useProblemAt();
  const editCut = useEditCut(cut.id);
  const { seat } = cut;
  const change = (label: string, by: Partial<CutSeat>, key?: string) =>
    editCut(label, (draft) => void (draft.seat && Object.assign(draft.seat, by)), key);
  return (
    <>
      <Choice
        className={styles.span4 ?? ''}
        label="On the figure"
        value={seat?.partId ?? null}
        words={parts}
        none="not seen, or within it"
        problem={problemAt(`/cuts/${index}/seat/partId`)}
        onChoose={(partId) =>
          editCut('what it is set on', (draft) => {
            draft.seat = partId === null ? null : { ...(draft.seat ?? BLANK_SEAT), partId, placement: null };
          })
        }
      />
      {seat && (
        <Choice
          className={styles.span5 ?? ''}
          label="From there"
          value={seat.runs}
          words={CUT_RUNS_WORDS}
          among={CUT_RUNS}
          onChoose={(runs) => runs && change('which way it runs', { runs })}
        />
      )}
      {seat && seat.runs !== 'up' && (
        <div className={styles.span3}>
          <LengthField
            label={seat.runs === 'down' ? 'Hangs so far below' : 'Begins so far off'}
            value={seat.hangBy}
            defaultUnit={lengthUnit}
            allowZero
            problem={problemAt(`/cuts/${index}/seat/hangBy`)}
            onValue={(hangBy) => change('how far off it begins', { hangBy }, 'hangBy')}
          />
        </div>
      )}
    </>
  );
}

const BLANK_SEAT: Omit<CutSeat, 'partId'> = { runs: 'out', hangBy: null, placement: null };
