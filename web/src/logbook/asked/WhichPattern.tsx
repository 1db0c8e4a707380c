import type { CommissionPage } from '@lanakit/core/api';
import type { Standing } from '@lanakit/core/commissions';
import type { Pattern } from '@lanakit/core/pattern';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { usePatternsPage } from '../../api/queries.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { SearchedSelect } from '../../ui/fields/SearchedSelect.tsx';
import { sizeWords } from '../../words/commissionWords.ts';
import { BuildChoice } from '../BuildChoice.tsx';
import making from '../making/Making.module.css';
import type { CommissionDraft } from './useCommissionDraft.ts';

interface WhichPatternProps {
  page: CommissionPage;
  draft: CommissionDraft;
  pattern: Pattern | null;
  standing: Standing;
}

/** The pattern that answers it: one of those whose words it has, or any. */
export function WhichPattern({ page, draft, pattern, standing }: WhichPatternProps) {
  const { input, change } = draft;
  const choose = (patternId: string | null) =>
    change('which pattern', (commission) => {
      commission.patternId = patternId;
      commission.choices = { values: {}, colourwayId: null, swapIds: [] };
    });
  const others = page.answers.filter(({ id }) => id !== input.patternId);
  return (
    <section aria-label="Which pattern answers it">
      <h3>Which pattern answers it</h3>
      {input.patternId !== null && (
        <p>
          {pattern ? <Link to={`/patterns/${input.patternId}`}>{pattern.title}</Link> : 'A pattern that is no longer here'}{' '}
          <Button size="small" type="text" onClick={() => choose(null)}>
            Another
          </Button>
        </p>
      )}
      {standing.size && sizeWords(standing.size) !== '' && (
        <p className={standing.size.kind === 'size' ? 'quiet' : 'amber'} role="note">
          {sizeWords(standing.size)}
        </p>
      )}
      {pattern && (
        <div className={making.facts}>
          <BuildChoice
            document={pattern}
            choices={input.choices}
            onChoices={(choices) =>
              change('how it is made', (commission) => {
                commission.choices = {
                  values: { ...choices.values },
                  colourwayId: choices.colourwayId,
                  swapIds: [...choices.swapIds],
                };
              })
            }
          />
        </div>
      )}
      {input.patternId === null && (
        <>
          {others.length > 0 && (
            <ul className={making.patterns}>
              {others.map(({ id, title, words }) => (
                <li key={id}>
                  <Button onClick={() => choose(id)}>
                    {title}
                    <span className="quiet small"> has {words.map((word) => `“${word}”`).join(', ')}</span>
                  </Button>
                </li>
              ))}
            </ul>
          )}
          <AnyPattern onChoose={choose} />
        </>
      )}
    </section>
  ); // prettier-ignore
}

function AnyPattern({ onChoose }: { onChoose: (patternId: string) => void }) {
  const [search, setSearch] = useState('');
  const { data } = usePatternsPage({ search, order: 'changed', isArchive: false, isUnknownOnly: false }, 0);
  return (
    <Field label="A pattern">
      {(control) => (
        <SearchedSelect
          control={control}
          className="control-xl"
          value={null}
          placeholder="Find a pattern, or leave it until one is written"
          offered={data?.items.map(({ id: value, title: label }) => ({ value, label })) ?? []}
          more={data ? data.total - data.items.length : 0}
          emptyWords="No pattern is called so."
          onSearch={setSearch}
          onChoose={onChoose}
        />
      )}
    </Field>
  );
}
