import type { Buying, MakesLine } from '@lanakit/core/api';
import { MOST_MAKES } from '@lanakit/core/buying';
import type { StockUnit } from '@lanakit/core/shelf';
import { joinWords } from '@lanakit/core/words';
import { Checkbox, Select } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useMakes } from '../api/queries.ts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { StillLoading } from '../shell/Loading.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { counted, findingAmount, PREPARATION_WORDS, showGrams } from '../words/show.ts';
import styles from './Makes.module.css';

/** How many of each figure the shelf allows, what limits it; and what would use up what lies over. */
export function Makes({ buying }: { buying: Buying }) {
  const [heap, setHeap] = useState<readonly string[]>([]);
  const [isAll, setAll] = useState(false);
  const { data, error } = useMakes(heap, isAll);
  if (!data) return <StillLoading error={error} />;
  const fibres = buying.things.filter(({ kind, onHand }) => kind === 'fibre' && (onHand ?? 0) > 0);
  const lines = heap.length === 0 ? data.lines : data.lines.filter(({ used }) => (used?.usedG ?? 0) > 0);
  return (
    <section className={`sheet ${styles.makes}`} aria-label="What can be made from here">
      <header className={styles.head}>
        <div>
          <h2>What can be made from here</h2>
          <p className="quiet">
            By published patterns and their colourways, of what is on the shelf
            {isAll ? ', though runs ahead want some of it.' : ' and no run ahead has asked for.'}
          </p>
          <Checkbox checked={isAll} onChange={(event) => setAll(event.target.checked)}>
            As though no run were ahead
          </Checkbox>
        </div>
        <Field label="Leftovers to use up" className={styles.heap ?? ''}>
          {(control) => (
            <Select<string[]>
              {...control}
              mode="multiple"
              allowClear
              showSearch={{ optionFilterProp: 'label' }}
              placeholder="any wool"
              value={[...heap]}
              options={fibres.map(({ id, name, preparation, onHand }) => ({
                value: id,
                label: `${name}, ${preparationWords(preparation)}, ${showGrams(onHand ?? 0)}`,
              }))}
              onChange={setHeap}
            />
          )}
        </Field>
      </header>
      {lines.length === 0 && (
        <p className="quiet">
          {heap.length === 0
            ? 'Publish a pattern, and what the shelf allows of it stands here.'
            : 'No published figure takes any of that.'}
        </p>
      )}
      <ul className={styles.lines}>
        {lines.map((line) => (
          <Line key={`${line.patternId} ${line.build}`} line={line} buying={buying} />
        ))}
      </ul>
      {data.leftOut > 0 && (
        <p className="quiet small">{counted(data.leftOut, 'pattern')} more were not looked at.</p>
      )}
    </section>
  );
}

const preparationWords = (preparation: string | null): string =>
  (PREPARATION_WORDS as Readonly<Record<string, string>>)[preparation ?? ''] ?? '';

function Line({ line, buying }: { line: MakesLine; buying: Buying }) {
  const { title, build, figure, makes, isMany, limits, uncounted, unknownCount, used } = line;
  const unitOf = (id: string) => buying.things.find((thing) => thing.id === id)?.unit ?? 'g';
  return (
    <li className={styles.line}>
      <FigureStrip figure={figure} width={150} height={64} />
      <span className={styles.name}>
        <Link to={`/patterns/${line.patternId}`}>{title}</Link>
        <span className="quiet small">
          {build === '' ? `revision ${line.revisionNumber}` : `in ${build}`}
        </span>
      </span>
      <span className={styles.count}>
        <b>{isMany ? `over ${MOST_MAKES - 1}` : makes}</b>
        <span className="quiet small">
          {used
            ? `${showGrams(used.usedG)} of the heap, ${Math.round(used.fraction * 100)} %`
            : makes === 1
              ? 'make'
              : 'makes'}
        </span>
      </span>
      <span className={styles.limits}>
        {limits.length > 0 && (
          <span className="small">
            <b>{joinWords(limits.map(({ name }) => name))}</b> {limits.length === 1 ? 'limits' : 'limit'} it.{' '}
            {moreWords(line, unitOf)}
          </span>
        )}
        {uncounted.length > 0 && (
          <span className="small red">{uncounted.join(', ')} not counted: taken to be enough</span>
        )}
        {unknownCount > 0 && <span className="small red">{counted(unknownCount, 'amount')} unknown</span>}
      </span>
    </li>
  );
}

/** What one more pack of what limits it would bring. */
function moreWords({ limits, makes, makesWithMore }: MakesLine, unitOf: (id: string) => StockUnit): string {
  const unsold = limits.filter(({ packAmount }) => packAmount === null).map(({ name }) => name);
  if (unsold.length > 0) return `Nobody on your shelf sells ${joinWords(unsold)}.`;
  const packs = limits.map(({ itemId, packAmount }) => findingAmount(packAmount ?? 0, unitOf(itemId)));
  const what = limits.length === 1 ? `A pack of ${packs[0] ?? ''} more` : 'A pack more of each';
  return makesWithMore > makes ? `${what} makes it ${makesWithMore}.` : `${what} is not enough for one.`;
}
