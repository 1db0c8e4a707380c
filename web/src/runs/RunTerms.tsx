import { fractionOf, percentBounds, percentOf } from '@lanakit/core/base';
import {
  type Bagging,
  BAGGINGS,
  hasChoice,
  RANGE_ENDS,
  RUN_BOUNDS,
  sparesOf,
  stageSamples,
  TO_BAG_FRACTION,
  UNDECIDED_BAG,
  usualChance,
} from '@lanakit/core/run';
import { BAGGING_WORDS, holdsWords } from '@lanakit/core/words';
import { Checkbox } from 'antd';
import { DayField } from '../ui/fields/DayField.tsx';
import { Choice } from '../ui/fields/Choice.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { counted, showGrams, showLikely } from '../words/show.ts';
import { ownerOfBag } from './groupWords.ts';
import { LearnerAccess } from './LearnerAccess.tsx';
import { OwnBags } from './OwnBags.tsx';
import { runProblems } from './RunFields.tsx';
import fields from './RunFields.module.css';
import styles from './RunTerms.module.css';
import type { RunDraft } from './useRunDraft.ts';
import type { ShownRun } from './useRunPlan.ts';

/** How packs are bagged, and everything that is packed over what seats or boxes take: each once, with its grams. */
export function RunTerms({ runId, runPlan, draft }: { runId: string; runPlan: ShownRun; draft: RunDraft }) {
  const { input } = draft;
  const isKits = input.kind === 'kits';
  return (
    <div className={styles.terms}>
      <section aria-label="Bags">
        <h3>Bags</h3>
        <Choice<Bagging>
          label="The wool of a pack goes into"
          value={input.bagging}
          words={BAGGING_WORDS}
          among={BAGGINGS}
          onChoose={(bagging) => draft.change({ bagging: bagging ?? 'one' })}
        />
        {isKits && (
          <Checkbox
            checked={input.isBaggedByDesign}
            onChange={(event) => draft.change({ isBaggedByDesign: event.target.checked })}
          >
            The wool of each design in bags of its own; otherwise a colour they share is weighed once
          </Checkbox>
        )}
        {input.bagging === 'own' && <OwnBags runPlan={runPlan} draft={draft} />}
        <Merged runPlan={runPlan} />
      </section>
      <section aria-label="Over what is needed">
        <h3>Over what is needed</h3>
        <Extras draft={draft} />
        <Allowances runPlan={runPlan} draft={draft} />
      </section>
      <Swaps runPlan={runPlan} draft={draft} />
      {!isKits && <LearnerAccess runId={runId} draft={draft} />}
    </div>
  );
}

/** Bags that held too little and went into others. */
function Merged({ runPlan: { plan, groups, shelf } }: { runPlan: ShownRun }) {
  const merged = new Map(
    plan.bags.flatMap((bag) =>
      bag.merged.map(({ holds, massG }) => {
        const pattern = ownerOfBag(bag.key, { plan, groups })?.makes[bag.makeAt ?? 0]?.build;
        const words = holdsWords(holds, pattern, (id) => shelf.get(id)?.name ?? 'a fibre');
        return [words, massG] as const;
      }),
    ),
  );
  if (merged.size === 0) return null;
  return (
    <p className="quiet small">
      Too small to handle, so in with the next:{' '}
      {[...merged].map(([words, massG]) => `${words} (${showLikely(massG)})`).join(', ')}.
    </p>
  );
}

function Extras({ draft }: { draft: RunDraft }) {
  const { input } = draft;
  const { at } = runProblems(input, true);
  if (input.kind === 'kits')
    return <p className="quiet small">Spare boxes are said with each sort of box.</p>;
  return (
    <div className={fields.fields}>
      <Checkbox
        className={fields.wide ?? ''}
        checked={input.spareFraction !== null}
        onChange={(event) => draft.change({ spareFraction: event.target.checked ? 0.1 : null })}
      >
        Spare packs by a share of the seats instead of a number: {counted(sparesOf(input), 'pack')}
      </Checkbox>
      {input.spareFraction !== null && (
        <NumberField
          label="Of the seats"
          value={percentOf(input.spareFraction)}
          bounds={percentBounds(RUN_BOUNDS.spareFraction)}
          suffix="%"
          problem={at('/spareFraction')}
          onValue={(percent) => draft.change({ spareFraction: fractionOf(percent) })}
        />
      )}
      <NumberField
        label="For demonstration"
        value={input.demonstrations}
        bounds={RUN_BOUNDS.demonstrations}
        isWhole
        problem={at('/demonstrations')}
        onValue={(demonstrations) => draft.change({ demonstrations })}
      />
    </div>
  );
}

const RANGE_WORDS = { top: 'the most is packed', middle: 'the middle is packed' };

function Allowances({ runPlan, draft }: { runPlan: ShownRun; draft: RunDraft }) {
  const { input } = draft;
  const { at } = runProblems(input, true);
  const { revision, plan, toPack } = runPlan;
  const isKits = input.kind === 'kits';
  const standstills = isKits ? [] : stageSamples(revision.document);
  const lossG = plan.fibres.reduce((sum, fibre) => sum + fibre.lossG, 0);
  const laidOut = plan.fibres.filter(({ bag }) => bag === UNDECIDED_BAG.key);
  return (
    <>
      <div className={fields.fields}>
        <NumberField
          label="Lost in weighing"
          value={percentOf(input.weighingLossFraction)}
          bounds={percentBounds(RUN_BOUNDS.weighingLossFraction)}
          suffix="%"
          hint={lossG > 0 ? `${showLikely(lossG)} off the shelf beside the packs` : 'what sticks and flies'}
          problem={at('/weighingLossFraction')}
          onValue={(percent) => draft.change({ weighingLossFraction: fractionOf(percent) })}
        />
        {!isKits && input.wantedChance !== null && (
          <NumberField
            label="May come to a spare bag"
            value={input.toBagFraction === null ? null : percentOf(input.toBagFraction)}
            bounds={percentBounds(RUN_BOUNDS.toBagFraction)}
            allowEmpty
            suffix="%"
            placeholder="nobody"
            hint={`of learners; usual ${percentOf(TO_BAG_FRACTION)} %`}
            problem={at('/toBagFraction')}
            onValue={(percent) =>
              draft.change({ toBagFraction: percent === null ? null : fractionOf(percent) })
            }
          />
        )}
        {input.wantedChance !== null && (
          <NumberField
            label="Short is wanting over"
            value={percentOf(input.toleranceFraction)}
            bounds={percentBounds(RUN_BOUNDS.toleranceFraction)}
            suffix="%"
            hint="more than is there; wool gives: 10 % less is 3 % in size"
            problem={at('/toleranceFraction')}
            onValue={(percent) => draft.change({ toleranceFraction: fractionOf(percent) })}
          />
        )}
        <Choice
          label="Of an amount said from – to"
          value={input.rangesAt}
          words={RANGE_WORDS}
          among={RANGE_ENDS}
          onChoose={(rangesAt) => draft.change({ rangesAt: rangesAt ?? 'top' })}
        />
      </div>
      {standstills.length > 0 && (
        <Checkbox
          checked={input.hasStageSamples}
          onChange={(event) => draft.change({ hasStageSamples: event.target.checked })}
        >
          A half-made sample for {counted(standstills.length, 'wait')} with nothing to do meanwhile (after
          step {standstills.map(({ stepNumber }) => stepNumber).join(', ')})
        </Checkbox>
      )}
      {!isKits && hasChoice(revision.document) && (
        <>
          <Checkbox
            checked={input.undecidedChance !== null}
            onChange={(event) =>
              draft.change({ undecidedChance: event.target.checked ? usualChance(input) : null })
            }
          >
            Who has not chosen gets what all need; their colours lie out, enough with{' '}
            {percentOf(input.undecidedChance ?? usualChance(input))} %
          </Checkbox>
          {toPack.open && (
            <p className="quiet small">
              For {counted(toPack.open.count, 'seat')} not decided among {toPack.open.variants.length} builds:{' '}
              {laidOut
                .map(
                  ({ fibreId, classG }) =>
                    `${showGrams(classG)} ${runPlan.shelf.get(fibreId)?.name ?? 'a fibre'}`,
                )
                .join(', ') || 'nothing, all builds take the same'}
              . Each build counts as often as it was chosen, and once more.
            </p>
          )}
          <DayField
            label="They choose by"
            day={input.chooseBy}
            allowEmpty
            problem={at('/chooseBy')}
            onDay={(chooseBy) => draft.change({ chooseBy })}
          />
        </>
      )}
    </>
  );
}

/** Permitted swaps that everybody gets: amounts, steps, card and labels follow. */
function Swaps({ runPlan: { groups }, draft }: { runPlan: ShownRun; draft: RunDraft }) {
  const makes = groups.flatMap((group) => group.makes);
  const swaps = new Map(
    makes.flatMap(({ pattern }) =>
      pattern.swaps.map((swap) => [swap.id, `${pattern.title}: ${swap.look || 'a swap'}`] as const),
    ),
  );
  if (swaps.size === 0) return null;
  const isKits = draft.input.kind === 'kits';
  return (
    <section aria-label="Taken instead">
      <h3>Taken instead, {isKits ? 'in every box' : 'by everybody'}</h3>
      {[...swaps].map(([id, words]) => (
        <div key={id}>
          <Checkbox
            checked={draft.input.swapIds.includes(id)}
            onChange={(event) =>
              draft.change({
                swapIds: event.target.checked
                  ? [...draft.input.swapIds, id]
                  : draft.input.swapIds.filter((chosenId) => chosenId !== id),
              })
            }
          >
            {words}
          </Checkbox>
        </div>
      ))}
      <p className="quiet small">
        {isKits
          ? 'For some boxes only: choose it with their designs.'
          : 'For some seats only: choose it at the seat.'}
      </p>
    </section>
  );
}
