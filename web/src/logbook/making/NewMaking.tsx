import { resolveBuild } from '@lanakit/core/build';
import { blankMaking, makingOf, type MakingInput } from '@lanakit/core/logbook';
import { NO_CHOICES } from '@lanakit/core/pattern';
import { Button, Input } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { createMaking } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { usePattern, usePatternsPage, useWool } from '../../api/queries.ts';
import { StillLoading } from '../../shell/Loading.tsx';
import { useAttempt } from '../../shell/useAttempt.ts';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import { percentOf } from '@lanakit/core/base';
import { todayPlus } from '../../words/days.ts';
import { BookFrame } from '../BookFrame.tsx';
import { BuildChoice } from '../BuildChoice.tsx';
import book from '../Logbook.module.css';
import styles from './Making.module.css';

/** Along which pattern, or none yet. */
export function NewMaking() {
  const [params] = useSearchParams();
  const [patternId, setPattern] = useState<string | null>(params.get('pattern'));
  const [search, setSearch] = useState('');
  const { data: patterns, error } = usePatternsPage(
    { search, order: 'changed', isArchive: false, isUnknownOnly: false },
    0,
  );
  return (
    <BookFrame isWaiting={!patterns} error={error}>
      <article className={`sheet ${book.notebook}`} aria-label="A new page">
        <h2>A new page</h2>
        <p className={book.sum}>Which figure is being made?</p>
        <Input
          className="control-xl"
          aria-label="Find a pattern"
          placeholder="Find a pattern"
          value={search}
          onChange={({ target: { value } }) => setSearch(value)}
        />
        <ul className={styles.patterns}>
          {patterns?.items.map(({ id, title }) => (
            <li key={id}>
              <Button
                size="large"
                type={id === patternId ? 'primary' : 'default'}
                aria-pressed={id === patternId}
                onClick={() => setPattern(id)}
              >
                {title}
              </Button>
            </li>
          ))}
        </ul>
        {patternId === null ? <WithoutPattern /> : <Along key={patternId} patternId={patternId} />}
      </article>
    </BookFrame>
  );
}

function useBegin() {
  const attempt = useAttempt();
  const navigate = useNavigate();
  return (input: MakingInput) =>
    void attempt(async () => {
      await perform(createMaking(input), ({ id }) => void navigate(`/logbook/making/${id}`));
      return undefined;
    });
}

function WithoutPattern() {
  const begin = useBegin();
  return (
    <>
      <p className="quiet">
        Or none of these: make first and write later. You log what you take and do, and a draft pattern is
        made of the page afterwards.
      </p>
      <p>
        <Button onClick={() => begin(blankMaking('A new figure', todayPlus(0)))}>
          Make first, write later
        </Button>
      </p>
    </>
  );
}

/** Of which build and size, and as how fine. */
function Along({ patternId }: { patternId: string }) {
  const begin = useBegin();
  const { data: pattern } = usePattern(patternId);
  const { wool, isReady } = useWool();
  const [choices, setChoices] = useState(NO_CHOICES);
  const [sizeFraction, setSize] = useState(1);
  if (!pattern || !isReady) return <StillLoading error={undefined} />;
  const { document } = pattern;
  const start = () => {
    const page = makingOf(resolveBuild(document, choices), wool, todayPlus(0), () => nanoid(10));
    begin({
      ...page,
      title: document.title,
      patternId,
      choices: { values: { ...choices.values }, colourwayId: choices.colourwayId, swapIds: [] },
      sizeFraction,
    });
  };
  return (
    <>
      <div className={styles.facts}>
        <BuildChoice document={document} choices={choices} onChoices={setChoices} />
        <NumberField<number>
          label="Size"
          value={percentOf(sizeFraction)}
          bounds={{ min: 25, max: 400 }}
          suffix="%"
          onValue={(percent) => setSize(percent / 100)}
        />
      </div>
      <p>
        <Button type="primary" size="large" onClick={start}>
          Begin the page
        </Button>
      </p>
      <p className="quiet">
        The page has a line for each bag of wool, each piece and each step of it. Leave empty what you do not
        want to weigh.
      </p>
    </>
  );
}
