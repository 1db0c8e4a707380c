import { type Fibre, type FibrePortion, lotsPackedFrom, type RunInput } from '@lanakit/core';
import { ROLE_WORDS } from '@lanakit/core/words';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { BAG_WORDS, ownerName } from '../words/ownerWords.ts';
import { counted, PREPARATION_WORDS, showGrams, showLikely, showWeighed } from '../words/show.ts';
import { weighingWords } from '../words/weighingWords.ts';
import { PaperPage } from './PaperPage.tsx';
import styles from './Sheets.module.css';
import type { RunPlan } from './useRunPlan.ts';

/** The list done at the scale: fibre by fibre, so that each is taken down once. */
export function WeighOutSheet() {
  return (
    <PaperPage title="Weigh-out">
      {(runPlan, input) => (
        <>
          {runPlan.plan.fibres.map((portion, index) => (
            <FibreBlock
              key={portion.bag + portion.fibreId}
              portion={portion}
              number={index + 1}
              runPlan={runPlan}
              input={input}
            />
          ))}
          <p className={styles.sum}>
            All fibres together <b>{showWeighed(runPlan.plan.classG, input.scaleStepG)}</b> in{' '}
            {counted(runPlan.plan.packs, 'pack')}
          </p>
        </>
      )}
    </PaperPage>
  );
}

interface FibreBlockProps {
  portion: FibrePortion;
  number: number;
  runPlan: RunPlan & { kind: 'plan' };
  input: RunInput;
}

function FibreBlock({ portion, number, runPlan, input }: FibreBlockProps) {
  const fibre = runPlan.shelf.get(portion.fibreId);
  const weigh = (massG: number) => showWeighed(massG, input.scaleStepG);
  const parts = portion.lines.map(
    (line) => `${ownerName(line.owner, runPlan.revision.document)} ${ROLE_WORDS[line.role]}`,
  );
  const { weighing } = portion;
  const ticks =
    weighing.kind === 'single'
      ? Array.from({ length: runPlan.plan.packs }, (_, i) =>
          i < input.seats ? `${i + 1}` : `S${i - input.seats + 1}`,
        )
      : weighing.groups.map((group) => `${weigh(group.steps * input.scaleStepG)} ÷ ${group.packs}`);
  return (
    <section className={styles.block}>
      <div className={styles.blockHead}>
        <span className={styles.big}>{number}</span>
        {fibre && <FibreSwatch fibre={fibre} width={70} height={30} />}
        <h2>
          {fibre?.name} <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
        </h2>
        <span className={styles.each}>
          {portion.packG === null ? `${showLikely(portion.exactG)} each` : `${weigh(portion.packG)} each`}
        </span>
        <span className={styles.each}>{weigh(portion.classG)} in all</span>
      </div>
      <p className={styles.blockNote}>
        {BAG_WORDS[portion.bag] && <b>{capital(BAG_WORDS[portion.bag] ?? '')}. </b>}For {parts.join(', ')}.{' '}
        {portion.freeG === null ? 'On hand: not counted.' : `Free on the shelf: ${showGrams(portion.freeG)}.`}{' '}
        {(portion.shortG ?? 0) > 0 && <b className="red">Short: {weigh(portion.shortG ?? 0)}.</b>}
        {weighing.kind === 'together' && ` ${capital(weighingWords(weighing, input.scaleStepG))}.`}
      </p>
      {fibre && <LotNotes fibre={fibre} massG={portion.classG} />}
      <ol className={styles.ticks} aria-label="Tick as weighed">
        {ticks.map((tick, index) => (
          <li key={index}>
            <span className={styles.box} /> {tick}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Which lots it comes from, and what is to be known of them. */
function LotNotes({ fibre, massG }: { fibre: Fibre; massG: number }) {
  const lots = lotsPackedFrom(fibre.lots, massG);
  const worthSaying = lots.length > 1 || lots.some(({ note }) => note !== '');
  if (!worthSaying) return null;
  return (
    <p className={styles.blockNote}>
      {lots.map((lot, index) => (
        <span key={lot.id}>
          {index > 0 && '; then '}
          Lot <b>{lot.name}</b>
          {lot.place !== '' && `, ${lot.place}`}
          {lot.note !== '' && `: ${lot.note}`}
        </span>
      ))}
      .
    </p>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
