import { type RungName, rungsOfSchool, type Stage, STAGES, withRung } from '@lanakit/core/pattern';
import type { Needle, NeedleWanted } from '@lanakit/core/shelf';
import { STAGE_WORDS } from '@lanakit/core/words';
import { useTable } from '../table/tableContext.ts';
import styles from './Ladder.module.css';
import { WantedSelect } from './WantedSelect.tsx';

const RUNG_LABELS: Readonly<Record<RungName, string>> = {
  needle: 'For everything',
  build: 'To build and join',
  surface: 'For the surface',
  detail: 'For details',
};

/** The needles of the school that is chosen; of one’s own table, one for each stage. */
export function SchoolFields({ needles }: { needles: readonly Needle[] }) {
  const edit = useTable((table) => table.edit);
  const school = useTable((table) => table.document.school);
  if (school.kind === 'own') return <OwnTable needles={needles} />;
  if (school.kind === 'by-feel')
    return <p className="quiet small">Large to build and join, medium for the surface, small for details.</p>;
  return (
    <div className={styles.rungFields}>
      {rungsOfSchool(school).map(({ name, wanted }) => (
        <WantedSelect
          key={name}
          label={RUNG_LABELS[name]}
          needles={needles}
          value={wanted}
          onChoose={(chosen) =>
            chosen &&
            edit('a needle of the school', (draft) => {
              draft.school = withRung(school, name, chosen);
            })
          }
        />
      ))}
    </div>
  );
}

function OwnTable({ needles }: { needles: readonly Needle[] }) {
  const edit = useTable((table) => table.edit);
  const stageNeedles = useTable((table) => table.document.stageNeedles);
  const steps = useTable((table) => table.document.steps);
  const used = STAGES.filter((stage) => steps.some((step) => step.stage === stage));
  const choose = (stage: Stage, needle: NeedleWanted | null) =>
    edit('the needle of a stage', (draft) => {
      draft.stageNeedles = draft.stageNeedles.filter((stageNeedle) => stageNeedle.stage !== stage);
      if (needle) draft.stageNeedles.push({ stage, needle });
    });
  return (
    <div className={styles.rungFields}>
      {(used.length > 0 ? used : STAGES).map((stage) => (
        <WantedSelect
          key={stage}
          label={STAGE_WORDS[stage]}
          needles={needles}
          none="none said"
          value={stageNeedles.find((stageNeedle) => stageNeedle.stage === stage)?.needle ?? null}
          onChoose={(wanted) => choose(stage, wanted)}
        />
      ))}
    </div>
  );
}
