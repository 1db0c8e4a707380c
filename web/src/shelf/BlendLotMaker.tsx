import { fractionOf, percentOf } from '@lanakit/core/base';
import type { Problem } from '@lanakit/core/problems';
import { RUN_BOUNDS, RUN_DEFAULTS } from '@lanakit/core/run';
import { type Blend, BLEND_LOT_BOUNDS, type Fibre, planBlendLot, takeFromLots } from '@lanakit/core/shelf';
import { problemWords } from '@lanakit/core/words';
import { Button } from 'antd';
import { useState } from 'react';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { showGrams, showWeighed } from '../words/show.ts';
import { TextField } from './fields.tsx';
import styles from './Panel.module.css';
import { perform } from '../api/mutations/mutation.ts';
import { makeBlendLot } from '../api/mutations/shelf.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { problemsBeside } from '../ui/fields/problemsBeside.ts';

const DEFAULT_LOT_G = 50;
const DEFAULT_HELD_BACK = 0.1;

interface BlendLotMakerProps {
  blend: Blend;
  fractions: ReadonlyMap<string, number>;
  fibres: ReadonlyMap<string, Fibre>;
}

/** What to weigh for a lot, and the entering of it once it is carded. */
export function BlendLotMaker({ blend, fractions, fibres }: BlendLotMakerProps) {
  const [massG, setMassG] = useState(DEFAULT_LOT_G);
  const [heldBack, setHeldBack] = useState(DEFAULT_HELD_BACK);
  const [scaleStepG, setScaleStepG] = useState<number>(RUN_DEFAULTS.scaleStepG);
  const [name, setName] = useState('');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const attempt = useAttempt();
  const plan = planBlendLot(fractions, massG, heldBack, scaleStepG);
  const lines = plan.components.map((component) => {
    const fibre = fibres.get(component.fibreId);
    return { ...component, fibre, withdrawals: fibre ? takeFromLots(fibre.lots, component.weighedG) : null };
  });
  const isShort = lines.some(({ withdrawals }) => withdrawals === null);
  const nameProblem = problems.find(({ pointer }) => pointer === '/name');
  const make = async () => {
    const from = lines.flatMap(({ fibreId, withdrawals }) =>
      (withdrawals ?? []).map((taking) => ({ itemId: fibreId, ...taking })),
    );
    const lot = { name: name.trim() || `lot ${blend.lots.length + 1}`, note: '', place: '', from };
    await attempt(async () => {
      await perform(makeBlendLot(blend.id, lot), () => {
        setProblems([]);
        setName('');
      });
      return { text: `${showWeighed(plan.totalG, scaleStepG)} of ${blend.name} is in the drawer.` };
    }, problemsBeside(setProblems));
  };
  return (
    <section className={styles.form} aria-label="Make a lot">
      <div className={styles.three}>
        <NumberField
          label="For"
          value={massG}
          bounds={BLEND_LOT_BOUNDS.massG}
          suffix="g"
          hint="to use now"
          onValue={setMassG}
        />
        <NumberField
          label="Held back"
          value={percentOf(heldBack)}
          bounds={{ min: 0, max: 50 }}
          suffix="%"
          hint="for mending later"
          onValue={(percent) => setHeldBack(fractionOf(percent))}
        />
        <NumberField
          label="Scale reads to"
          value={scaleStepG}
          bounds={RUN_BOUNDS.scaleStepG}
          suffix="g"
          hint="rounded up to it"
          onValue={setScaleStepG}
        />
      </div>
      <ul className={styles.list} aria-label="To weigh">
        {lines.map(({ fibreId, fibre, weighedG, withdrawals }) => (
          <li key={fibreId} className={styles.found}>
            {fibre && <FibreSwatch fibre={fibre} width={54} height={24} />}
            <span>
              {fibre?.name}
              {withdrawals !== null && withdrawals.length > 1 && (
                <span className="quiet small"> from {withdrawals.length} lots, the oldest first</span>
              )}
            </span>
            <b className="num larger">{showWeighed(weighedG, scaleStepG)}</b>
            {withdrawals === null && (
              <span className={`red small ${styles.foundParts}`}>
                {fibre?.onHandG == null
                  ? 'never counted'
                  : `${showGrams(weighedG - fibre.onHandG)} short: ${showGrams(fibre.onHandG)} there`}
              </span>
            )}
          </li>
        ))}
      </ul>
      <p>
        <b className="num">{showWeighed(plan.totalG, scaleStepG)}</b>{' '}
        <span className="quiet">
          in all, {showGrams(plan.heldBackG)} of it held back
          {plan.isRaised &&
            `: raised from ${showGrams(plan.wantedG)}, or this scale would make another blend of it`}
        </span>
      </p>
      <TextField
        label="Name of the lot"
        value={name}
        maxLength={60}
        placeholder={`lot ${blend.lots.length + 1}`}
        problem={nameProblem ? problemWords(nameProblem) : null}
        onValue={setName}
      />
      {problems
        .filter(({ pointer }) => pointer !== '/name')
        .map((problem) => (
          <p key={problem.pointer} className="red" role="alert">
            {problemWords(problem)}
          </p>
        ))}
      <div>
        <Button type="primary" disabled={isShort} onClick={() => void make()}>
          It is carded: put it in the drawer
        </Button>
      </div>
      {isShort && <p className="quiet small">Something is short of it. Make less, or count again.</p>}
    </section>
  );
}
