import { packNames } from '@lanakit/core/papers';
import { type FibreWeighed, type Pack, type WeighMark } from '@lanakit/core/run';
import { lotsPackedFrom } from '@lanakit/core/shelf';
import { packWords } from '@lanakit/core/words';
import { useState } from 'react';
import { FibreSwatch } from '../ui/look/FibreSwatch.tsx';
import { PREPARATION_WORDS, showWeighed } from '../words/show.ts';
import { bagTitle } from './groupWords.ts';
import { MarkGroup } from './MarkGroup.tsx';
import { ReallyWeighed } from './ReallyWeighed.tsx';
import { ScaleStation } from './ScaleStation.tsx';
import { doneOf, type Weighing } from './weighing.ts';
import styles from './WeighOut.module.css';

interface WeighByFibreProps extends Weighing {
  really: ReadonlyMap<string, FibreWeighed>;
  isOffShelf: boolean;
}

/** One fibre after another, pale before dark. */
export function WeighByFibre({
  all,
  scale,
  lotOf,
  taking,
  onTaking,
  really,
  isOffShelf,
  ...shared
}: WeighByFibreProps) {
  const { runPlan, ticks, onTick } = shared;
  const firstOpen = all.findIndex(({ bags }) =>
    bags.some(({ marks }) => doneOf(marks, ticks) < marks.length),
  );
  const [chosen, setChosen] = useState<string | null>(null);
  const fibreWeighing = all.find(({ fibreId }) => fibreId === chosen) ?? all[Math.max(0, firstOpen)];
  if (!fibreWeighing) return null;
  const at = all.indexOf(fibreWeighing);
  const fibre = runPlan.shelf.get(fibreWeighing.fibreId);
  const lots = lotsPackedFrom(fibre?.lots ?? [], fibreWeighing.classG);
  return (
    <div className={styles.columns} data-scale="">
      <ol className={`sheet ${styles.list}`} aria-label="Fibres, pale before dark">
        {all.map(({ fibreId, bags }) => {
          const marks = bags.flatMap((bag) => bag.marks);
          const name = runPlan.shelf.get(fibreId);
          return (
            <li key={fibreId}>
              <button
                type="button"
                aria-current={fibreId === fibreWeighing.fibreId ? 'true' : undefined}
                onClick={() => setChosen(fibreId)}
              >
                {name && <FibreSwatch fibre={name} width={46} height={24} />}
                <span>{name?.name ?? 'a fibre'}</span>
                <b className={doneOf(marks, ticks) === marks.length ? 'leaf' : ''}>
                  {doneOf(marks, ticks)}/{marks.length}
                </b>
              </button>
            </li>
          );
        })}
      </ol>
      <section className={`sheet ${styles.scale}`} aria-label={fibre?.name ?? 'Fibre'}>
        <header>
          {fibre && (
            <span className={styles.lies} data-wool-lies="">
              <FibreSwatch fibre={fibre} width={120} height={52} />
            </span>
          )}
          <h1>
            {fibre?.name} <small>{fibre && PREPARATION_WORDS[fibre.preparation]}</small>
          </h1>
          <b className={styles.sum}>{showWeighed(fibreWeighing.classG, runPlan.input.scaleStepG)}</b>
        </header>
        {scale && (
          <ScaleStation
            scale={scale}
            taking={taking}
            onTaking={onTaking}
            runPlan={runPlan}
            marks={fibreWeighing.bags.flatMap(({ marks }) => marks)}
            ticks={ticks}
            lotOf={lotOf}
            nameOf={markName}
            onTick={onTick}
          />
        )}
        <ReallyWeighed
          really={really.get(fibreWeighing.fibreId)}
          onHandG={fibre?.onHandG ?? null}
          isOffShelf={isOffShelf}
          stepG={runPlan.input.scaleStepG}
        />
        {(lots.length > 1 || lots.some(({ note }) => note !== '')) && (
          <p className={styles.lots}>
            {fibreWeighing.lotChange.map(({ from, lotName }) => (
              <b key={from.mark}>
                From {markName(from)} on, lot {lotName}.{' '}
              </b>
            ))}
            {lots.map(({ id, name, place, note }) => (
              <span key={id}>
                Lot <b>{name}</b>
                {place !== '' && `, ${place}`}
                {note !== '' && `: ${note}`}.{' '}
              </span>
            ))}
          </p>
        )}
        {fibreWeighing.bags.map(({ bag, marks }) => (
          <MarkGroup
            key={bag.key}
            title={bagTitle(bag.key, runPlan)}
            marks={marks}
            nameOf={(mark) => markName(mark)}
            {...shared}
          />
        ))}
        {at < all.length - 1 && (
          <button
            type="button"
            className={styles.nextUp}
            onClick={() => setChosen(all[at + 1]?.fibreId ?? null)}
          >
            Next: {runPlan.shelf.get(all[at + 1]?.fibreId ?? '')?.name} →
          </button>
        )}
      </section>
    </div>
  );
}

/** Whose it is, or how many share it. */
const markName = ({ packs, parts }: WeighMark): string =>
  packs.length === 0
    ? 'for all'
    : parts > 1
      ? `÷ ${parts}: ${packNames(packs).replaceAll(' · ', '\u00a0·\u00a0')}`
      : packWords(packs[0] as Pack);
