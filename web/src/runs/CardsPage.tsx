import type { OpenedRun } from '@lanakit/core/api';
import {
  BOX_BOUNDS,
  CARDS_FOR,
  CARD_TERMS,
  type CardName,
  cardSizeMm,
  type CardTerms,
} from '@lanakit/core/papers';
import { Button, Checkbox, Segmented } from 'antd';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useRun } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import styles from '../booklet/Booklet.module.css';
import { PdfPreview } from '../booklet/PdfPreview.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { CARD_WORDS } from '../words/bookletWords.ts';
import { keepCardTerms, lastCardTerms } from './cardTerms.ts';

/** Cards for the packs of a run, in the size of the box they lie in: seen as they will print, with marks where to cut and fold. */
export function CardsPage() {
  const { id = '' } = useParams();
  const { data, error } = useRun(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  return data ? <OfRun run={data} /> : <Loading error={error} />;
}

function OfRun({ run }: { run: OpenedRun }) {
  const [terms, setTerms] = useState<CardTerms>(() => lastCardTerms(run.id, CARD_TERMS[run.kind]));
  const set = (more: Partial<CardTerms>) => {
    const next = { ...terms, ...more };
    setTerms(next);
    keepCardTerms(run.id, next);
  };
  const size = cardSizeMm(terms);
  const url = apiPath(`/runs/${run.id}/cards/pdf?${new URLSearchParams({ terms: JSON.stringify(terms) }).toString()}`);
  const offered = CARDS_FOR[run.kind];
  const toggle = (name: CardName, isIn: boolean) =>
    set({ cards: offered.filter((each) => (each === name ? isIn : terms.cards.includes(each))) });
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.choices}`} aria-label="Which cards">
        <Link to={`/runs/${run.id}`}>← {run.name}</Link>
        <h1>Cards for the {run.kind === 'kits' ? 'box' : 'pack'}</h1>
        <p className="quiet">Printed on one side, cut along whole lines, folded like a fan along broken ones.</p>
        <div className={styles.ways}>
          <Button type="primary" href={url} download disabled={terms.cards.length === 0}>
            Save as PDF
          </Button>
        </div>
        <h2>Which</h2>
        <div className={styles.ticks}>
          {offered.map((name) => (
            <Checkbox key={name} checked={terms.cards.includes(name)} onChange={({ target: { checked } }) => toggle(name, checked)}>
              {CARD_WORDS[name]}
            </Checkbox>
          ))}
        </div>
        <Segmented<CardTerms['of']>
          aria-label="How many of each"
          value={terms.of}
          options={[
            { value: 'packs', label: run.kind === 'kits' ? 'for every box' : 'for every pack' },
            { value: 'kinds', label: 'what is alike once' },
          ]}
          onChange={(of) => set({ of })}
        />
        <h2>The {run.kind === 'kits' ? 'box' : 'bag'}, inside</h2>
        <div className={styles.fields}>
          <NumberField<number> label="Across" value={terms.boxWidthMm} bounds={BOX_BOUNDS.widthMm} suffix="mm" onValue={(boxWidthMm) => set({ boxWidthMm })} />
          <NumberField<number> label="Down" value={terms.boxHeightMm} bounds={BOX_BOUNDS.heightMm} suffix="mm" onValue={(boxHeightMm) => set({ boxHeightMm })} />
        </div>
        <p className="quiet">
          Cards are {size.widthMm} × {size.heightMm} mm, so that they go in and come out.
        </p>
        <h2>How they are printed</h2>
        <Segmented<CardTerms['page']>
          aria-label="Page"
          value={terms.page}
          options={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
          onChange={(page) => set({ page })}
        />
        <div className={styles.ticks}>
          <Checkbox checked={terms.hasMarks} onChange={({ target: { checked } }) => set({ hasMarks: checked })}>
            marks where to cut and to fold
          </Checkbox>
          <Checkbox checked={terms.ink === 'saving'} onChange={({ target: { checked } }) => set({ ink: checked ? 'saving' : 'colour' })}>
            save ink: outlines, fibre by name and hatching
          </Checkbox>
        </div>
      </section>
      {terms.cards.length > 0 ? (
        <PdfPreview url={url} title={`${run.name}, cards`} />
      ) : (
        <p className={styles.making}>Choose at least one card.</p>
      )}
    </main>
  );
} // prettier-ignore
