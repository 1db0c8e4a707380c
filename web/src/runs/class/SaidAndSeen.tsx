import { figuresOf, SAID_SORTS, saidNow, type SaidSort } from '@lanakit/core/classDay';
import { Button, Input, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { clockAt, SAID_WORDS, whereWords } from '../../words/classWords.ts';
import { Field } from '../../ui/fields/Field.tsx';
import styles from './Class.module.css';
import type { Teaching } from './teaching.ts';

/** A question, a trouble, a good idea: what sort, and at which step or piece. It waits for the next revision. */
export function SaidAndSeen({ teaching }: { teaching: Teaching }) {
  const { here } = teaching;
  const [sort, setSort] = useState<SaidSort>('question');
  const [text, setText] = useState('');
  const [makeAt, setMakeAt] = useState(0);
  const makes = useMemo(() => figuresOf(here.day.plan.makes), [here.day.plan.makes]);
  const make = makes[makeAt] ?? makes[0];
  if (!make) return <p className="sheet">Nobody sits here yet: there is nothing to note against.</p>;
  const on = new Set(teaching.show?.on.map(({ entry }) => entry.stepId));
  const note = (at: { readonly stepId: string | null; readonly partId: string | null }) => {
    here.act({ act: 'said', sort, revisionId: make.revisionId, ...at, seatKey: null, text: text.trim() });
    setText('');
  };
  return (
    <section className={`sheet ${styles.side}`} aria-label="Said and seen">
      <div className={styles.line}>
        <Segmented<SaidSort>
          size="large"
          aria-label="What it is"
          value={sort}
          onChange={setSort}
          options={SAID_SORTS.map((value) => ({ value, label: SAID_WORDS[value] }))}
        />
        <Field label="In words, if there is time" isLabelHidden>
          {(control) => (
            <Input
              {...control}
              size="large"
              value={text}
              maxLength={600}
              placeholder="in words, if there is time; then tap where"
              onChange={(event) => setText(event.target.value)}
            />
          )}
        </Field>
      </div>
      {makes.length > 1 && (
        <Segmented<number>
          aria-label="Of which figure"
          value={makeAt}
          onChange={setMakeAt}
          options={makes.map(({ title }, value) => ({ value, label: title }))}
        />
      )}
      <div className={styles.steps} role="group" aria-label="At which step">
        {make.steps.map(({ id, number, title }) => (
          <Button
            key={id}
            type={on.has(id) ? 'primary' : 'default'}
            ghost={on.has(id)}
            aria-label={`${SAID_WORDS[sort]} at step ${number}, ${title}`}
            onClick={() => note({ stepId: id, partId: null })}
          >
            <b>{number}</b> {title}
          </Button>
        ))}
      </div>
      <div className={styles.where} role="group" aria-label="On which piece">
        {make.pieces.map(({ partId, name }) => (
          <Button
            key={partId}
            size="large"
            aria-label={`${SAID_WORDS[sort]} on ${name}`}
            onClick={() => note({ stepId: null, partId })}
          >
            {name}
          </Button>
        ))}
      </div>
      <Noted teaching={teaching} />
    </section>
  );
}

function Noted({ teaching }: { teaching: Teaching }) {
  const all = saidNow(teaching.here.events);
  const figures = figuresOf(teaching.here.day.plan.makes);
  if (all.length === 0) return <p className="quiet">Nothing noted yet. Two taps: what it is, and where.</p>;
  return (
    <ul className={styles.noted}>
      {all.map((each) => (
        <li key={each.key}>
          <span>
            {clockAt(teaching.clock(each.at))} <b>{SAID_WORDS[each.sort]}</b> {whereWords(each, figures)}
            {each.text && `: ${each.text}`}
          </span>
          <Button type="text" onClick={() => teaching.here.act({ act: 'back', key: each.key })}>
            Take out
          </Button>
        </li>
      ))}
    </ul>
  );
}
