import { allMarks, type Pack, packedMark, type WeighMark } from '@lanakit/core/run';
import type { Fibre } from '@lanakit/core/shelf';
import { groupWords, packWords } from '@lanakit/core/words';
import { useMemo } from 'react';
import { useSearchParams } from 'react-router';
import { PREPARATION_WORDS } from '../words/show.ts';
import { bagTitle } from './groupWords.ts';
import { MarkGroup } from './MarkGroup.tsx';
import { ScaleStation } from './ScaleStation.tsx';
import { doneOf, type Weighing } from './weighing.ts';
import styles from './WeighOut.module.css';

/** Two of one name are told apart by how they were prepared. */
const fibreWords = (fibre: Pick<Fibre, 'name' | 'preparation'> | undefined): string =>
  fibre ? `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}` : 'a fibre';

/** One pack after another, bag by bag. */
export function WeighByPack({ all, scale, lotOf, taking, onTaking, ...shared }: Weighing) {
  const { runPlan, ticks, onTick } = shared;
  const { packs, groups } = runPlan;
  const marksOf = useMemo(() => {
    const byPack = new Map<string, WeighMark[]>();
    for (const mark of allMarks(all)) {
      for (const { id } of mark.packs) byPack.set(id, [...(byPack.get(id) ?? []), mark]);
    }
    return byPack;
  }, [all]);
  const isPacked = (pack: Pack) => ticks.get(packedMark(pack.id))?.isDone === true;
  const [params, setParams] = useSearchParams();
  const chosen = params.get('pack');
  const setChosen = (packId: string) => setParams({ by: 'pack', pack: packId }, { replace: true });
  const ownPack = packs.find(({ id }) => id === chosen) ?? packs.find((pack) => !isPacked(pack)) ?? packs[0];
  if (!ownPack) return null;
  const marks = marksOf.get(ownPack.id) ?? [];
  const group = groups.find(({ key }) => key === ownPack.groupKey);
  const byBag = new Map<string, WeighMark[]>();
  for (const mark of marks) byBag.set(mark.bag, [...(byBag.get(mark.bag) ?? []), mark]);
  return (
    <div className={styles.columns} data-scale="">
      <ol className={`sheet ${styles.list}`} aria-label="Packs">
        {packs.map((pack) => (
          <li key={pack.id}>
            <button
              type="button"
              aria-current={pack.id === ownPack.id ? 'true' : undefined}
              data-wool-goes={pack.id === ownPack.id ? '' : undefined}
              onClick={() => setChosen(pack.id)}
            >
              <span>{packWords(pack)}</span>
              <b className={isPacked(pack) ? 'leaf' : ''}>
                {isPacked(pack)
                  ? 'packed'
                  : `${doneOf(marksOf.get(pack.id) ?? [], ticks)}/${marksOf.get(pack.id)?.length ?? 0}`}
              </b>
            </button>
          </li>
        ))}
      </ol>
      <section className={`sheet ${styles.scale}`} aria-label={packWords(ownPack)}>
        <header>
          <h1>
            {packWords(ownPack)} <small>{group && groupWords(group)}</small>
          </h1>
        </header>
        {ownPack.seat && (ownPack.seat.note !== '' || ownPack.seat.isLeftHanded) && (
          <p className={styles.lots}>
            {[ownPack.seat.isLeftHanded ? 'left-handed' : '', ownPack.seat.note]
              .filter((word) => word !== '')
              .join('; ')}
          </p>
        )}
        {scale && (
          <ScaleStation
            scale={scale}
            taking={taking}
            onTaking={onTaking}
            runPlan={runPlan}
            marks={[...byBag.values()].flat()}
            ticks={ticks}
            lotOf={lotOf}
            nameOf={({ bag }) =>
              [packWords(ownPack), bagTitle(bag, runPlan)].filter((word) => word !== '').join(', ')
            }
            onTick={onTick}
          />
        )}
        {[...byBag].map(([bag, inBag]) => (
          <MarkGroup
            key={bag}
            title={bagTitle(bag, runPlan)}
            isMixed
            marks={inBag}
            nameOf={({ fibreId, parts }) =>
              `${fibreWords(runPlan.shelf.get(fibreId))}${parts > 1 ? ` (part of one for ${parts})` : ''}`
            }
            {...shared}
          />
        ))}
        <button
          type="button"
          className={styles.packed}
          aria-pressed={isPacked(ownPack)}
          onClick={() => void onTick({ mark: packedMark(ownPack.id), isDone: !isPacked(ownPack), massG: 0 })}
        >
          {isPacked(ownPack) ? 'Packed ✓' : 'Everything is in: packed'}
        </button>
      </section>
    </div>
  );
}
