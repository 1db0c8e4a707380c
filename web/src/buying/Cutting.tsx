import type { Cutting as CuttingAsked, CuttingThing } from '@lanakit/core/api';
import type { PlannedCut } from '@lanakit/core/buying';
import type { CuttingTerms } from '@lanakit/core/cutting';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { saveCuttingTerms, takeCutPlan } from '../api/mutations/cutting.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useCutting } from '../api/queries.ts';
import { StillLoading } from '../shell/Loading.tsx';
import { useAttempt } from '../shell/useAttempt.ts';
import { CUTTING_BOUNDS } from '@lanakit/core/cutting';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { counted, findingAmount } from '../words/show.ts';
import { unitOfFinding } from '@lanakit/core/shelf';
import { CutList } from './CutList.tsx';
import styles from './Cutting.module.css';
import { useCutPlan } from './useCutPlan.ts';

/** What to cut from what, in which order. */
export function Cutting() {
  const { data, error } = useCutting();
  if (!data) return <StillLoading error={error} />;
  return <OnBoard cutting={data} />;
}

function OnBoard({ cutting }: { cutting: CuttingAsked }) {
  const plansOf = (id: string) => cutting.plans.filter(({ itemId }) => itemId === id);
  const things = cutting.things.filter(
    ({ finding, pieces }) => pieces.length > 0 || plansOf(finding.id).length > 0,
  );
  const [chosenId, setChosenId] = useState<string | null>(null);
  const chosen = things.find(({ finding }) => finding.id === chosenId) ?? things[0];
  if (!chosen && cutting.sheetsUnknown.length > 0)
    return (
      <section className={`sheet ${styles.none}`} aria-label="What to cut">
        <h2>What to cut</h2>
        <SheetsUnknown cutting={cutting} />
      </section>
    );
  if (!chosen)
    return (
      <section className={`sheet ${styles.none}`} aria-label="What to cut">
        <h2>Nothing is to be cut</h2>
        <p className="quiet">
          Wire, stems, ribbon, cord, felt, fabric and card that runs ahead want cut to size stand here, with a
          plan of how to cut them.
        </p>
      </section>
    );
  return (
    <div className={styles.board}>
      <section className={`sheet no-print ${styles.things}`} aria-label="What to cut">
        <h2>What to cut</h2>
        <ul>
          {things.map(({ finding, pieces, cutCount }) => (
            <li key={finding.id}>
              <button
                type="button"
                className={styles.thing}
                aria-current={finding.id === chosen.finding.id ? 'true' : undefined}
                onClick={() => setChosenId(finding.id)}
              >
                <b>{finding.name}</b>
                <span className="quiet small">
                  {pieces.length === 0
                    ? 'all cut'
                    : `${counted(
                        pieces.reduce((sum, { count }) => sum + count, 0),
                        'piece',
                      )} to cut`}
                  {cutCount > 0 && `, ${cutCount} cut`}
                </span>
              </button>
            </li>
          ))}
        </ul>
        <SheetsUnknown cutting={cutting} />
      </section>
      <section className={`sheet ${styles.plan}`} aria-label={chosen.finding.name}>
        <Terms terms={cutting.terms} by={chosen.finding.measure.by} />
        {plansOf(chosen.finding.id).map((plan) => (
          <CutList key={plan.id} plan={plan} thing={chosen} runs={cutting.runs} />
        ))}
        {plansOf(chosen.finding.id).every(({ stocks, done }) => stocks.length === done.length) &&
          chosen.pieces.length > 0 && <Proposed thing={chosen} cutting={cutting} />}
      </section>
    </div>
  );
}

/** Felt whose sheets nobody has measured: what is cut of it is told, and where to say how large they are. */
function SheetsUnknown({ cutting }: { cutting: CuttingAsked }) {
  return cutting.sheetsUnknown.map(({ id, name, pieceCount }) => (
    <p key={id} className="red small">
      {counted(pieceCount, 'piece')} of {name}: how large its sheets are is not said.{' '}
      <Link to={`/shelf?open=${id}`}>Say it on the shelf</Link>, and they are planned.
    </p>
  ));
}

interface TermsProps {
  terms: CuttingTerms;
  by: CuttingThing['finding']['measure']['by'];
}

/** How she cuts. */
function Terms({ terms, by }: TermsProps) {
  const attempt = useAttempt();
  const set = (more: Partial<CuttingTerms>) =>
    void attempt(async () => {
      await perform(saveCuttingTerms({ ...terms, ...more }));
      return undefined;
    });
  const field = (key: keyof typeof CUTTING_BOUNDS, label: string) => (
    <NumberField
      label={label}
      value={terms[key]}
      bounds={CUTTING_BOUNDS[key]}
      suffix="mm"
      onValue={(value) => set({ [key]: value })}
    />
  );
  return (
    <div className={`no-print ${styles.terms}`}>
      {field('kerfMm', 'Lost with each cut')}
      {by === 'length'
        ? field('endWasteMm', 'Of no use at an end')
        : field('marginMm', 'Of no use all round')}
      {field('offcutFromMm', 'Keep what is left from')}
      {by === 'length' && (
        <Checkbox
          className={styles.together ?? ''}
          checked={terms.keepsPacksTogether === true}
          onChange={(event) => set({ keepsPacksTogether: event.target.checked })}
        >
          the pieces of a pack from one length
        </Checkbox>
      )}
    </div>
  );
}

function Proposed({ thing, cutting }: { thing: CuttingThing; cutting: CuttingAsked }) {
  const { state, stop } = useCutPlan(thing, cutting.terms);
  switch (state.kind) {
    case 'working':
      return (
        <p className={styles.working}>
          Looking for the best way to cut…{' '}
          <Button size="small" onClick={stop}>
            Stop
          </Button>
        </p>
      );
    case 'failed':
      return <p className="red">The planner stumbled. Change something above, and it tries again.</p>;
    case 'stopped':
      return <p className="quiet">Stopped. Change something above, and it begins again.</p>;
    case 'planned':
      return <Plan plan={state.plan} thing={thing} cutting={cutting} />;
  }
}

function Plan({ plan, thing, cutting }: { plan: PlannedCut; thing: CuttingThing; cutting: CuttingAsked }) {
  const attempt = useAttempt();
  const unit = unitOfFinding(thing.finding.measure);
  const pieces = thing.pieces.map(({ count: _count, ...piece }) => piece);
  const take = () =>
    attempt(async () => {
      await perform(
        takeCutPlan({ itemId: thing.finding.id, pieces, stocks: [...plan.stocks], terms: cutting.terms }),
      );
      return { text: 'Taken: tick off each one as you cut it.' };
    });
  const kind = thing.finding.measure.by === 'area' ? 'sheet' : 'length';
  return (
    <>
      <header className={styles.head}>
        <p>
          <b>{plan.bought === 0 ? 'Nothing has to be bought' : `${counted(plan.bought, kind)} to buy`}</b>
          {', '}
          {plan.bought === plan.atLeastBought
            ? 'no fewer will do'
            : `no plan needs fewer than ${plan.atLeastBought}`}
          . {counted(plan.cuts, 'cut')},{' '}
          {plan.wasteAmount > 0 ? findingAmount(plan.wasteAmount, unit) : 'nothing'} wasted
          {plan.isProven && kind === 'length' ? ', and none wastes less.' : '.'}
        </p>
        <Button type="primary" disabled={plan.stocks.length === 0} onClick={() => void take()}>
          Take this plan
        </Button>
      </header>
      {plan.notCut.length > 0 && (
        <ul>
          {plan.notCut.map(({ key, count }) => (
            <li key={key} className="red small">
              {counted(count, 'piece')} of {thing.pieces.find((piece) => piece.key === key)?.name}: larger
              than everything it could be cut from. Buy a longer or larger one, or join it.
            </li>
          ))}
        </ul>
      )}
      <CutList
        plan={{
          id: '',
          version: 0,
          itemId: thing.finding.id,
          pieces,
          stocks: [...plan.stocks],
          terms: cutting.terms,
          done: [],
        }}
        thing={thing}
        runs={cutting.runs}
      />
    </>
  );
}
