import { type Skill, SKILLS } from '@lanakit/core/needles';
import { needlesOfSchool, type SchoolKind, SCHOOLS } from '@lanakit/core/pattern';
import type { NeedleWanted } from '@lanakit/core/shelf';
import { SCHOOL_WORDS, SKILL_WORDS } from '@lanakit/core/words';
import { Button, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../ui/fields/Choice.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { useTable } from '../table/tableContext.ts';
import { FaultFinder } from './FaultFinder.tsx';
import { FewerChanges } from './FewerChanges.tsx';
import { KitTable } from './KitTable.tsx';
import styles from './Ladder.module.css';
import { LadderChart } from './LadderChart.tsx';
import { LadderNotes } from './LadderNotes.tsx';
import { NeedleCard } from './NeedleCard.tsx';
import { Readout } from './Readout.tsx';
import { SchoolDialog } from './SchoolDialog.tsx';
import { SchoolFields } from './SchoolFields.tsx';
import { type KitWish, useKit } from './useKit.ts';
import { useLadder, useOverride } from './useLadder.ts';

const PEOPLE = { min: 0, max: 200 } as const;

interface NeedlesViewProps {
  patternId: string;
  onOpenStep: (stepId: string) => void;
  onClose: () => void;
}

/** Which needle, when to change, and why: the school, the ladder, the card learners get, the kit, and what went wrong. */
export function NeedlesView({ patternId, onOpenStep, onClose }: NeedlesViewProps) {
  const document = useTable((table) => table.document);
  const { school, stageNeedles } = document;
  const { ladder, needles, build } = useLadder();
  const override = useOverride();
  const [readId, setReadId] = useState<string | null>(null);
  const [preview, setPreview] = useState<SchoolKind | null>(null);
  const [people, setPeople] = useState(8);
  const [skill, setSkill] = useState<Skill>('some');
  const wish: KitWish = { people, skill };
  const kit = useKit(build, ladder, wish);
  const also = useMemo((): NeedleWanted[] => needlesOfSchool(school, stageNeedles), [school, stageNeedles]);
  return (
    <section className={`sheet ${styles.view}`} aria-label="Needles">
      <header className={styles.head}>
        <h2>Needles</h2>
        <Segmented<SchoolKind>
          aria-label="How you use needles"
          value={school.kind}
          options={SCHOOLS.map((kind) => ({ value: kind, label: SCHOOL_WORDS[kind] }))}
          onChange={(kind) => kind !== school.kind && setPreview(kind)}
        />
        <span className={styles.headEnd}>
          <Link to={`/patterns/${patternId}/needles`}>On paper</Link>
          <Button size="small" onClick={onClose}>
            Back to the steps
          </Button>
        </span>
      </header>
      <div className={styles.body}>
        <SchoolFields needles={needles} />
        {needles.length === 0 && (
          <p className="red">
            No needles on the shelf yet, so none can be proposed.{' '}
            <Link to="/shelf/tools?add=needle">Put yours there</Link>; the ladder works without.
          </p>
        )}
        {ladder.rungs.length > 0 ? (
          <LadderChart
            ladder={ladder}
            numbered={document}
            alsoRungs={also}
            currentId={readId}
            onRead={setReadId}
            onOpen={onOpenStep}
            onOverride={override}
          />
        ) : (
          <p className="quiet">
            No step takes a needle yet. Write steps, or choose how you use needles above.
          </p>
        )}
        <div className={styles.under} role="status">
          <Readout
            ladder={ladder}
            build={build}
            numbered={document}
            stepId={readId}
            onOverride={override}
            onOpen={onOpenStep}
          />
          <FewerChanges changes={ladder.path.changes.length} />
        </div>
        <LadderNotes ladder={ladder} build={build} numbered={document} onRead={setReadId} />
        <div className={styles.two}>
          <section aria-label="The card">
            <h3>The card learners get</h3>
            <NeedleCard ladder={ladder} />
          </section>
          <section aria-label="The kit">
            <div className={styles.kitHead}>
              <h3>Needles for</h3>
              <NumberField
                label="People"
                isLabelHidden
                value={people}
                bounds={PEOPLE}
                isWhole
                onValue={setPeople}
                className={styles.people ?? ''}
              />
              <Choice<Skill>
                label="Skill"
                value={skill}
                words={SKILL_WORDS}
                among={SKILLS}
                onChoose={(chosen) => chosen && setSkill(chosen)}
              />
            </div>
            {people === 0 && <p className="quiet">Nobody comes, so nothing is needed.</p>}
            <KitTable kit={kit} ladder={ladder} />
            <p className="quiet small">
              Spares so that the chance of any running out is under 5 %.{' '}
              {kit.lines.some(({ rate }) => rate.source === 'counted')
                ? 'How often they break is drawn to your own counts.'
                : 'How often they break is our own guess, until you have counted a class.'}
            </p>
            <FaultFinder ladder={ladder} numbered={document} onRead={setReadId} onOverride={override} />
          </section>
        </div>
      </div>
      {preview && (
        <SchoolDialog
          kind={preview}
          build={build}
          ladder={ladder}
          needles={needles}
          wish={wish}
          onClose={() => setPreview(null)}
        />
      )}
    </section>
  );
}
