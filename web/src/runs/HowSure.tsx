import { percentOf } from '@lanakit/core/base';
import type { Wool } from '@lanakit/core/engine';
import { type Designs, type RunInput, TO_BAG_FRACTION, usualChance } from '@lanakit/core/run';
import { Button } from 'antd';
import { useMemo } from 'react';
import { counted, showMoney, showWeighed } from '../words/show.ts';
import styles from './HowSure.module.css';
import type { RunDraft } from './useRunDraft.ts';
import type { ShownRun } from './useRunPlan.ts';
import { useTries, useWaysToBeSure } from './useWaysToBeSure.ts';
import type { Way } from './sure.worker.ts';

/** Fibres that are named as the least sure. */
const NAMED = 3;

const chanceWords = (chance: number): string =>
  chance > 0.995 ? 'over 99 %' : chance < 0.005 ? 'under 1 %' : `${Math.round(chance * 100)} %`;

/** What a plain percentage is good for: it is meant for one maker, not for a chance of a whole class. */
const goodForWords = (oneChance: number): string =>
  oneChance > 0.95
    ? 'nearly everybody'
    : oneChance < 0.05
      ? 'hardly anybody has enough'
      : `about ${Math.max(1, Math.round(oneChance * 10))} in 10 have enough`;

type Terms = Pick<RunInput, 'wantedChance' | 'toBagFraction'>;

interface NamedWay {
  readonly name: string;
  readonly terms: Terms;
}

/** By a percentage; each pack alone for a chance; and, in a class, packs with a bag for all for the same chance. */
function waysOf({ kind, wantedChance, toBagFraction, extraFraction }: RunInput): NamedWay[] {
  const chance = wantedChance ?? usualChance({ kind });
  const percent = `${percentOf(extraFraction)} % over in every ${kind === 'kits' ? 'box' : 'pack'}`;
  return [
    { name: percent, terms: { wantedChance: null, toBagFraction: null } },
    { name: `Each alone, for ${percentOf(chance)} %`, terms: { wantedChance: chance, toBagFraction: null } },
    ...(kind === 'kits'
      ? []
      : [
          {
            name: `Packs and a spare bag, for ${percentOf(chance)} %`,
            terms: { wantedChance: chance, toBagFraction: toBagFraction ?? TO_BAG_FRACTION },
          },
        ]),
  ];
}

const isSame = (a: Terms, b: Terms): boolean =>
  a.wantedChance === b.wantedChance && (a.wantedChance === null || a.toBagFraction === b.toBagFraction);

/** How sure it is that nobody is short, three ways for the same event, side by side in grams and money. */
export function HowSure({ runPlan, draft }: { runPlan: ShownRun; draft: RunDraft }) {
  const { input } = draft;
  const { revisions, wool, shelf } = runPlan;
  const isKits = input.kind === 'kits';
  const ways = waysOf(input);
  const designs = useMemo(
    () => new Map([...revisions].map(([id, { document }]) => [id, document])),
    [revisions],
  );
  const found = useWaysToBeSure(
    ways.map(({ terms }) => ({ ...input, ...terms })),
    designs,
    wool,
  );
  const at = ways.findIndex(({ terms }) => isSame(terms, input));
  const inUse = found?.[at];
  if (inUse?.sure.fibres.length === 0) return null;
  const widest = Math.max(1, ...(found ?? []).map(({ classG }) => classG));
  return (
    <section className={styles.sure} aria-label="So that nobody is short">
      <h3>
        So that {isKits ? 'a box suffices' : 'nobody is short'}{' '}
        <span className="quiet small">
          {isKits
            ? 'by post, of anything that is in it'
            : 'in the whole class, of anything; spare packs not reckoned on'}
        </span>
      </h3>
      {ways.map((way, index) => {
        const ownWay = found?.[index];
        return (
          <WayRow
            key={way.name}
            {...{ way, foundWay: ownWay, widest }}
            isInUse={index === at}
            wanted={usualChance(input)}
            scaleStepG={input.scaleStepG}
            onUse={() => draft.change(way.terms)}
          />
        );
      })}
      {inUse && (
        <p className="small">
          Least sure as packed:{' '}
          {inUse.sure.fibres
            .slice(0, NAMED)
            .map(({ fibreId, chance }) => `${shelf.get(fibreId)?.name ?? 'a fibre'} ${chanceWords(chance)}`)
            .join(', ')}
          . What a make takes is an estimate still: a finished piece on the scale makes all of this less.{' '}
          {inUse.sure.unknown.length > 0 && (
            <span className="red">
              Not reckoned with, because something of it is unknown:{' '}
              {inUse.sure.unknown.map((fibreId) => shelf.get(fibreId)?.name ?? 'a fibre').join(', ')}.
            </span>
          )}
        </p>
      )}
      <Tries key={JSON.stringify(input)} {...{ input, designs, wool, isKits }} />
    </section>
  );
}

interface WayRowProps {
  way: NamedWay;
  foundWay: Way | undefined;
  widest: number;
  isInUse: boolean;
  wanted: number;
  scaleStepG: number;
  onUse: () => void;
}

function WayRow({ way, foundWay: ownWay, widest, isInUse, wanted, scaleStepG, onUse }: WayRowProps) {
  const inPacksG = ownWay ? ownWay.classG - ownWay.bagG : 0;
  return (
    <div className={`${styles.way} ${isInUse ? styles.inUse : ''}`}>
      <span>{way.name}</span>
      <span aria-hidden className={styles.bars}>
        <span
          className={`${styles.bar} ${isInUse ? '' : styles.other}`}
          style={{ width: `${(inPacksG / widest) * 100}%` }}
        />
        {ownWay && ownWay.bagG > 0 && (
          <span
            className={`${styles.bar} ${styles.bag}`}
            style={{ width: `${(ownWay.bagG / widest) * 100}%` }}
          />
        )}
      </span>
      <b className={ownWay && ownWay.sure.chance < wanted - 0.005 ? 'amber' : 'leaf'}>
        {ownWay
          ? way.terms.wantedChance === null
            ? goodForWords(ownWay.sure.oneChance)
            : chanceWords(ownWay.sure.chance)
          : '…'}
      </b>
      <b>{ownWay ? showWeighed(ownWay.classG, scaleStepG) : '…'}</b>
      <span className="num">{ownWay ? showMoney(ownWay.costMinor) : ''}</span>
      {isInUse ? (
        <span className="quiet small">in use</span>
      ) : (
        <Button size="small" aria-label={`Use: ${way.name}`} disabled={!ownWay} onClick={onUse}>
          Use it
        </Button>
      )}
    </div>
  );
}

interface TriesProps {
  input: RunInput;
  designs: Designs;
  wool: Wool;
  isKits: boolean;
}

/** The run tried many times over by chance: the judge of the sums above. */
function Tries({ input, designs, wool, isKits }: TriesProps) {
  const [state, start] = useTries();
  switch (state.kind) {
    case 'none':
      return (
        <Button size="small" onClick={() => start(input, designs, wool)}>
          Try it 10 000 times
        </Button>
      );
    case 'working':
      return (
        <p className="small" role="status">
          {Math.round(state.share * 100)} % tried{' '}
          <Button size="small" onClick={state.stop}>
            Stop
          </Button>
        </p>
      );
    case 'done': {
      const { tries, enough, cameFraction } = state.simulated;
      return (
        <p className="small" role="status">
          Of {counted(tries, isKits ? 'box' : 'class', isKits ? 'boxes' : 'classes')} made by chance,{' '}
          <b>{enough}</b> had enough of everything: {((enough / tries) * 100).toFixed(1)} %.
          {input.toBagFraction !== null &&
            input.wantedChance !== null &&
            ` Of each fibre, ${(cameFraction * 100).toFixed(0)} % of learners came to the bag.`}
        </p>
      );
    }
  }
}
