import { RUN_BOUNDS, seatsOf } from '@lanakit/core/run';
import { Button } from 'antd';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { counted } from '../words/show.ts';
import { Room } from './Room.tsx';
import styles from './Room.module.css';
import { RosterDialog } from './RosterDialog.tsx';
import { SeatEditor } from './SeatEditor.tsx';
import { seatFindings } from './seatFindings.ts';
import type { RunDraft } from './useRunDraft.ts';
import type { ShownRun } from './useRunPlan.ts';

interface WhoComesProps {
  runId: string;
  runPlan: ShownRun;
  draft: RunDraft;
}

/** The room, whom something is said of, and what has to be seen to before packs are packed. */
export function WhoComes({ runId, runPlan, draft }: WhoComesProps) {
  const [chosen, setChosen] = useAskedSeat(draft.input.seats);
  const [isPasting, setPasting] = useState(false);
  const { input } = draft;
  const { document } = runPlan.revision;
  const findings = seatsOf(input).flatMap((seat) => seatFindings(seat, runPlan));
  return (
    <>
      <div className={styles.heading}>
        <h2>The room</h2>
        <span>
          <Button size="small" onClick={() => setPasting(true)}>
            Paste a list…
          </Button>{' '}
          <Button
            size="small"
            disabled={input.seats >= RUN_BOUNDS.seats.max}
            onClick={() => draft.change({ seats: input.seats + 1 })}
          >
            Add a seat
          </Button>
        </span>
      </div>
      <Room
        runPlan={runPlan}
        input={input}
        chosen={chosen}
        onChoose={(seat) => setChosen(seat === chosen ? null : seat)}
      />
      {chosen === null && findings.length > 0 && (
        <ul className={styles.told} aria-label="To see to">
          {findings.map((words) => (
            <li key={words} className="red small">
              {words}
            </li>
          ))}
        </ul>
      )}
      {chosen !== null && (
        <SeatEditor
          key={chosen}
          runId={runId}
          runPlan={runPlan}
          draft={draft}
          number={chosen}
          onClose={() => setChosen(null)}
        />
      )}
      {chosen === null && findings.length === 0 && (
        <p className="quiet small">
          {input.roster.length === 0
            ? 'Nobody is told of yet'
            : `${counted(input.roster.length, 'seat')} told of`}
          . Choose a seat to say who sits there and what they make.
        </p>
      )}
      {isPasting && (
        <RosterDialog
          pattern={document}
          input={input}
          onTake={draft.change}
          onClose={() => setPasting(false)}
        />
      )}
    </>
  );
}

/** The seat that is open: the one that was asked for, as by who found a person, until another is chosen. */
function useAskedSeat(seats: number) {
  const number = Number(useSearchParams()[0].get('seat'));
  const asked = Number.isInteger(number) && number >= 1 && number <= seats ? number : null;
  const [chosen, setChosen] = useState({ asked, seat: asked });
  const choose = (seat: number | null) => setChosen({ asked, seat });
  return [chosen.asked === asked ? chosen.seat : asked, choose] as const;
}
