import { SCHOOL_WORDS } from '@lanakit/core/words';
import { Button } from 'antd';
import { useTable } from '../table/tableContext.ts';
import { counted } from '../../words/show.ts';
import { LadderChart } from './LadderChart.tsx';
import styles from './Ladder.module.css';
import { useLadder, useOverride } from './useLadder.ts';

interface LadderStripProps {
  openStepId: string | null;
  onOpenStep: (stepId: string) => void;
  onOpen: () => void;
}

/** The ladder under the steps, the open one marked. */
export function LadderStrip({ openStepId, onOpenStep, onOpen }: LadderStripProps) {
  const document = useTable((table) => table.document);
  const school = useTable((table) => table.document.school);
  const { ladder } = useLadder();
  const override = useOverride();
  const { length } = ladder.flags;
  return (
    <section className={`sheet ${styles.strip}`} aria-label="Needle ladder">
      <div className={styles.stripHead}>
        <h2>Needles</h2>
        <span className="quiet small">{SCHOOL_WORDS[school.kind]}</span>
        <span className="small">{counted(ladder.path.changes.length, 'change')}</span>
        {length > 0 && <span className="amber small">{counted(length, 'thing')} to look at</span>}
        <Button size="small" onClick={onOpen}>
          Open the ladder
        </Button>
      </div>
      {ladder.rungs.length > 0 ? (
        <LadderChart
          ladder={ladder}
          numbered={document}
          currentId={openStepId}
          onRead={NOTHING}
          onOpen={onOpenStep}
          onOverride={override}
          isCompact
        />
      ) : (
        <p className="quiet small">No step has a needle yet. Open the ladder to choose how you use them.</p>
      )}
    </section>
  );
}

/** In the strip a hand that rests on a step reads its name there, and opens nothing. */
const NOTHING = () => undefined;
