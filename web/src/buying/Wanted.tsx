import type { Buying, BuyingThing } from '@lanakit/core/api';
import { type ChosenWant, partsOfWant, stockAhead } from '@lanakit/core/buying';
import { Checkbox } from 'antd';
import { useMemo, useState } from 'react';
import { findingAmount, PREPARATION_WORDS, showDay, counted } from '../words/show.ts';
import { USE_WORDS } from '../words/buyingWords.ts';
import styles from './BuyingPage.module.css';
import type { Asked } from './useAskedPurchase.ts';
import { WeeksChart } from './WeeksChart.tsx';

const GROUPS: readonly { readonly title: string; readonly kinds: readonly BuyingThing['kind'][] }[] = [
  { title: 'Wool', kinds: ['fibre'] },
  { title: 'Blends, made of wool', kinds: ['blend'] },
  { title: 'Findings and packaging', kinds: ['finding'] },
  { title: 'Needles', kinds: ['needle'] },
  { title: 'Tools', kinds: ['tool'] },
];

/** Everything the chosen runs want, what is there of it, and what has to be bought. */
export function Wanted({ buying, asked }: { buying: Buying; asked: Asked }) {
  const [isAll, setAll] = useState(false);
  const lines = asked.wants.filter(({ toBuy, coming }) => isAll || toBuy !== 0 || coming > 0);
  const kindOf = ({ want }: ChosenWant) =>
    want.itemId === null ? 'needle' : (asked.thingOf(want.itemId)?.kind ?? 'finding');
  const enough = asked.wants.length - asked.wants.filter(({ toBuy }) => toBuy !== 0).length;
  return (
    <section className={`sheet ${styles.wanted}`} aria-label="What is wanted">
      <header className={styles.wantedHead}>
        <h2>What is wanted</h2>
        {enough > 0 && (
          <Checkbox checked={isAll} onChange={(event) => setAll(event.target.checked)}>
            {`the ${counted(enough, 'thing')} there is enough of, too`}
          </Checkbox>
        )}
      </header>
      {lines.length === 0 && (
        <p className="quiet">
          {asked.wants.length === 0
            ? 'Tick a run: what it takes off the shelf stands here.'
            : 'The shelf has enough of everything these runs take.'}
        </p>
      )}
      {GROUPS.map(({ title, kinds }) => {
        const inGroup = lines.filter((line) => kinds.includes(kindOf(line)));
        return (
          inGroup.length > 0 && (
            <section key={title} aria-label={title}>
              <h3>{title}</h3>
              <ul className={styles.wants}>
                {inGroup.map((line) => (
                  <WantLine key={line.want.key} line={line} buying={buying} asked={asked} />
                ))}
              </ul>
            </section>
          )
        );
      })}
    </section>
  );
}

interface WantLineProps {
  line: ChosenWant;
  buying: Buying;
  asked: Asked;
}

function WantLine({ line, buying, asked }: WantLineProps) {
  const [isOpen, setOpen] = useState(false);
  const { want, wanted, toBuy } = line;
  const thing = want.itemId === null ? undefined : asked.thingOf(want.itemId);
  const name =
    thing?.name ?? buying.namesOfSorts[want.key.replace(/ lent$/, '')] ?? 'a thing no longer on the shelf';
  return (
    <li className={styles.want}>
      <button
        type="button"
        className={styles.wantLine}
        aria-expanded={isOpen}
        onClick={() => setOpen(!isOpen)}
      >
        <span className={styles.wantName}>
          <b>{name}</b>
          <span className="quiet small">
            {thing?.preparation
              ? `${preparationWords(thing.preparation)}${want.isLent ? ', lent' : ''}`
              : want.isLent
                ? 'lent, comes back'
                : ''}
          </span>
        </span>
        <Level line={line} thing={thing} />
        <span className="num">{findingAmount(wanted, want.unit)}</span>
        <span className={`num ${styles.toBuy} ${toBuy === 0 ? 'leaf' : 'red'}`}>
          {buyWords(line, thing?.kind === 'blend')}
        </span>
      </button>
      {isOpen && <WhereFrom line={line} buying={buying} asked={asked} thing={thing} />}
    </li>
  );
}

const preparationWords = (preparation: string): string =>
  (PREPARATION_WORDS as Readonly<Record<string, string>>)[preparation] ?? preparation;

const buyWords = ({ toBuy, coming, want }: ChosenWant, isBlend: boolean): string =>
  toBuy === null
    ? 'not counted'
    : toBuy > 0
      ? `${isBlend ? 'blend' : 'buy'} ${findingAmount(toBuy, want.unit)}`
      : coming > 0
        ? 'coming'
        : 'enough';

const LEVEL_WIDTH = 120;
const LEVEL_HEIGHT = 14;

/** A drawer from above: what is free for these runs, what is on its way, and what is wanting. */
function Level({ line, thing }: { line: ChosenWant; thing: BuyingThing | undefined }) {
  const { wanted } = line;
  const most = Math.max(wanted, 1e-9);
  const { there, coming, lacking } = partsOfWant(line);
  const px = (amount: number) => (LEVEL_WIDTH * Math.min(amount, most)) / most;
  return (
    <svg width={LEVEL_WIDTH} height={LEVEL_HEIGHT} aria-hidden className="unshrunk">
      <rect
        x={0.5}
        y={0.5}
        width={LEVEL_WIDTH - 1}
        height={LEVEL_HEIGHT - 1}
        fill="none"
        stroke="var(--line)"
      />
      <rect width={px(there)} height={LEVEL_HEIGHT} fill={thing?.colour ?? 'var(--ink-2)'} />
      <rect x={px(there)} width={px(coming)} height={LEVEL_HEIGHT} fill="var(--leaf)" opacity={0.45} />
      {lacking > 0 && (
        <rect
          x={LEVEL_WIDTH - px(lacking) + 0.5}
          y={0.5}
          width={Math.max(0, px(lacking) - 1)}
          height={LEVEL_HEIGHT - 1}
          fill="none"
          stroke="var(--red)"
          strokeDasharray="3 2"
        />
      )}
    </svg>
  );
}

/** Each number down to the run and the use it comes from, and what may be said of the thing. */
function WhereFrom({ line, buying, asked, thing }: WantLineProps & { thing: BuyingThing | undefined }) {
  const { want, coming, comingLate, toBuy } = line;
  const { choices, choose, runIds } = asked;
  const itemId = want.itemId;
  const runs = want.runs.filter(({ runId }) => runIds.has(runId));
  const nameOf = (runId: string) => buying.runs.find(({ id }) => id === runId)?.name ?? '';
  const amount = (value: number) => findingAmount(value, want.unit);
  const steps = useMemo(
    () =>
      stockAhead(
        want,
        buying.runs,
        buying.coming.filter(({ itemId: ordered }) => ordered === want.itemId),
        thing?.onHand ?? 0,
      ),
    [want, buying, thing],
  );
  return (
    <div className={styles.from}>
      <table>
        <tbody>
          {runs.flatMap(({ runId, uses, short }) =>
            uses.map(({ use, amount: used, blendId }, at) => (
              <tr key={`${runId} ${use} ${blendId ?? ''}`}>
                <td>{at === 0 && nameOf(runId)}</td>
                <td className="quiet">
                  {USE_WORDS[use]}
                  {blendId !== null && ` ${asked.thingOf(blendId)?.name ?? ''}`}
                </td>
                <td className="num">{amount(used)}</td>
                <td className="num quiet">
                  {at === 0 && (short === null ? '?' : short > 0 ? `${amount(short)} short` : 'enough')}
                </td>
              </tr>
            )),
          )}
        </tbody>
      </table>
      {thing?.onHand != null && steps.length > 0 && (
        <WeeksChart today={buying.today} onHand={thing.onHand} steps={steps} unit={want.unit} />
      )}
      <p className="quiet small">
        {thing?.onHand == null
          ? 'Never counted.'
          : `${amount(thing.onHand)} on hand; what runs before these take is not counted on.`}
        {coming > 0 && ` ${amount(coming)} on order, in time.`}
        {comingLate > 0 && (
          <span className="red"> {amount(comingLate)} on order, too late or nobody knows when.</span>
        )}
        {line.tiers[0]?.by && ` First needed by ${showDay(line.tiers[0].by)}.`}
      </p>
      {itemId !== null && thing?.kind !== 'blend' && (
        <div className={styles.says}>
          {toBuy === null && (
            <Checkbox
              checked={choices.asNone.has(itemId)}
              onChange={() => choose({ asNone: toggled(choices.asNone, itemId) })}
            >
              Buy as though none were there
            </Checkbox>
          )}
          {want.unit === 'g' && (
            <Checkbox
              checked={choices.fromOne.has(itemId)}
              onChange={() => choose({ fromOne: toggled(choices.fromOne, itemId) })}
            >
              All from one supplier, of one lot
            </Checkbox>
          )}
        </div>
      )}
    </div>
  );
}

function toggled(all: ReadonlySet<string>, id: string): ReadonlySet<string> {
  const next = new Set(all);
  if (!next.delete(id)) next.add(id);
  return next;
}
