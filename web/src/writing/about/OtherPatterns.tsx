import {
  type PatternNamed,
  type Relation,
  RELATIONS,
  SERIES_NUMBER,
  surroundingsOf,
} from '@lanakit/core/pattern';
import { AutoComplete, Button } from 'antd';
import { nanoid } from 'nanoid';
import { useParams } from 'react-router';
import { errorWords } from '../../api/client.ts';
import { usePatternNames } from '../../api/patternNames.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { NumberField } from '../../ui/fields/NumberField.tsx';
import lists from '../../ui/Lists.module.css';
import { RELATION_ADD_WORDS } from '../../words/relationWords.ts';
import { useTable } from '../table/tableContext.ts';
import { AroundLines } from './AroundLines.tsx';
import styles from './OtherPatterns.module.css';
import { RelatedFields } from './RelatedFields.tsx';

const NOBODY: readonly PatternNamed[] = [];

/** The patterns around this one: its series, what is made before it, what goes with it. Printed with it. */
export function OtherPatterns() {
  const { id = '' } = useParams();
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const { data, error } = usePatternNames();
  const names = data?.items ?? NOBODY;
  const { title, series, related } = document;
  const around = surroundingsOf({ id, title, series, related }, names);
  const others = names.filter((each) => each.id !== id);
  const add = (relation: Relation) =>
    edit('adding a pattern that goes with it', (draft) => {
      draft.related.push({ id: nanoid(10), relation, patternId: null, title: '', where: '' });
    });
  return (
    <section className={lists.section} aria-label="With other patterns">
      <header>
        <h3>With other patterns</h3>
        <span className="quiet small">printed with it, by the titles they have then</span>
      </header>
      <div className={lists.grid}>
        <SeriesFields names={others} />
      </div>
      {related.map((each) => (
        <RelatedFields key={each.id} related={each} others={data ? others : null} />
      ))}
      <div className={styles.buttons}>
        {RELATIONS.map((relation) => (
          <Button key={relation} size="small" onClick={() => add(relation)}>
            {RELATION_ADD_WORDS[relation]}
          </Button>
        ))}
      </div>
      {error && <p className="red">What other patterns are called could not be read: {errorWords(error)}</p>}
      {data && <AroundLines around={around} />}
    </section>
  );
}

/** The name of its series, offered from those there are, and which of it this is. */
function SeriesFields({ names }: { names: readonly PatternNamed[] }) {
  const series = useTable((table) => table.document.series);
  const edit = useTable((table) => table.edit);
  const known = [...new Set(names.flatMap((each) => each.series?.name.trim() ?? []))];
  return (
    <>
      <Field label="Series" className={lists.span8 ?? ''}>
        {(control) => (
          <AutoComplete
            {...control}
            className="wide"
            value={series?.name ?? ''}
            options={known.map((name) => ({ value: name }))}
            showSearch={{ filterOption: true }}
            placeholder="none: it stands alone"
            maxLength={80}
            onChange={(name: string) =>
              edit(
                'its series',
                (draft) =>
                  void (draft.series =
                    name.trim() === '' ? null : { name, number: draft.series?.number ?? null }),
                'series',
              )
            }
          />
        )}
      </Field>
      {series && (
        <NumberField<number | null>
          className={lists.span4 ?? ''}
          label="Number in it"
          value={series.number}
          bounds={SERIES_NUMBER}
          isWhole
          allowEmpty
          onValue={(number) =>
            edit('its number in the series', (draft) => {
              if (draft.series) draft.series.number = number;
            })
          }
        />
      )}
    </>
  );
}
