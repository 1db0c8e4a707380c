import {
  alikePortions,
  type Fibre,
  type FibrePortion,
  lotsPackedFrom,
  type PackGroup,
  type RunFibre,
  type RunInput,
} from '@lanakit/core';
import { ROLE_WORDS } from '@lanakit/core/words';
import { FibreSwatch } from '../look/FibreSwatch.tsx';
import { BAG_WORDS, ownerName } from '../words/ownerWords.ts';
import { counted, PREPARATION_WORDS, showGrams, showLikely, showWeighed } from '../words/show.ts';
import { weighingWords } from '../words/weighingWords.ts';
import { groupTitle } from './groupWords.ts';
import { PaperPage } from './PaperPage.tsx';
import styles from './Sheets.module.css';
import type { Planned } from './useRunPlan.ts';

/** The list done at the scale: fibre by fibre, so that each is taken down once; packs that are alike together. */
export function WeighOutSheet() {
  return (
    <PaperPage title="Weigh-out">
      {(runPlan, input) => (
        <>
          {runPlan.plan.fibres.map((own, index) => (
            <FibreBlock
              key={own.bag + own.fibreId}
              own={own}
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
  own: RunFibre;
  number: number;
  runPlan: Planned;
  input: RunInput;
}

function FibreBlock({ own, number, runPlan, input }: FibreBlockProps) {
  const fibre = runPlan.shelf.get(own.fibreId);
  const weigh = (massG: number) => showWeighed(massG, input.scaleStepG);
  const portions = alikePortions(runPlan.plan, own.fibreId, own.bag).map(({ portion, packs, groupKeys }) => ({
    portion,
    packs,
    groups: runPlan.groups.filter(({ key }) => groupKeys.includes(key)),
  }));
  const lines = new Map(
    portions.flatMap(({ portion }) => portion.lines.map((line) => [line.useId, line] as const)),
  );
  const parts = [...lines.values()].map(
    (line) => `${ownerName(line.owner, runPlan.revision.document)} ${ROLE_WORDS[line.role]}`,
  );
  const only = portions.length === 1 ? portions[0] : undefined;
  return (
    <section className={styles.block}>
      <div className={styles.blockHead}>
        <span className={styles.big}>{number}</span>
        {fibre && <FibreSwatch fibre={fibre} width={70} height={30} />}
        <h2>
          {fibre?.name} <span className="quiet">{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
        </h2>
        {only && <span className={styles.each}>{eachWords(only.portion, input)}</span>}
        <span className={styles.each}>{weigh(own.classG)} in all</span>
      </div>
      <p className={styles.blockNote}>
        {BAG_WORDS[own.bag] && <b>{capital(BAG_WORDS[own.bag] ?? '')}. </b>}For {parts.join(', ')}.{' '}
        {own.freeG === null ? 'On hand: not counted.' : `Free on the shelf: ${showGrams(own.freeG)}.`}{' '}
        {(own.shortG ?? 0) > 0 && <b className="red">Short: {weigh(own.shortG ?? 0)}.</b>}
      </p>
      {fibre && <LotNotes fibre={fibre} massG={own.classG} />}
      {portions.map(({ groups, packs, portion }) => (
        <div key={groups[0]?.key}>
          {(runPlan.groups.length > 1 || portion.weighing.kind === 'together') && (
            <p className={styles.blockNote}>
              {runPlan.groups.length > 1 && (
                <b>
                  {capital(eachWords(portion, input))}, {counted(packs, 'pack')}:{' '}
                  {groups.map((group) => groupTitle(runPlan.revision.document, group)).join('; ')}.{' '}
                </b>
              )}
              {portion.weighing.kind === 'together' &&
                `${capital(weighingWords(portion.weighing, input.scaleStepG))}.`}
            </p>
          )}
          <ol className={styles.ticks} aria-label="Tick as weighed">
            {ticksOf(portion, groups, input).map((tick, index) => (
              <li key={index}>
                <span className={styles.box} /> {tick}
              </li>
            ))}
          </ol>
        </div>
      ))}
    </section>
  );
}

const eachWords = (portion: FibrePortion, { scaleStepG }: RunInput): string =>
  portion.packG === null
    ? `${showLikely(portion.exactG)} each`
    : `${showWeighed(portion.packG, scaleStepG)} each`;

/** A box for each pack, by seat and name; for what is weighed together one for each weighing. */
function ticksOf(
  { weighing }: FibrePortion,
  groups: readonly PackGroup[],
  { roster, scaleStepG }: RunInput,
): string[] {
  if (weighing.kind === 'together') {
    return weighing.groups.map(
      ({ steps, packs }) => `${showWeighed(steps * scaleStepG, scaleStepG)} ÷ ${packs}`,
    );
  }
  const seats = groups.flatMap((group) => group.seats).sort((a, b) => a - b);
  const spares = groups.reduce((sum, group) => sum + group.spares, 0);
  const named = seats.map((seat) => {
    const name = roster.find((own) => own.seat === seat)?.name.trim() ?? '';
    return name === '' ? `${seat}` : `${seat} ${name}`;
  });
  return [...named, ...Array.from({ length: spares }, (_, at) => `S${at + 1}`)];
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
