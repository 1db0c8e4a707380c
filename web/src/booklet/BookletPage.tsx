import type { Wool } from '@lanakit/core/engine';
import { resolveBuild } from '@lanakit/core/build';
import { BOOKLET_ENDS, BOOKLET_TERMS, type BookletEnd, missingInBooklet } from '@lanakit/core/papers';
import { type Choices, NO_CHOICES, type Pattern } from '@lanakit/core/pattern';
import { isEqual } from '@lanakit/core/base';
import { RESIZE_BOUNDS } from '@lanakit/core/resize';
import { Button, Checkbox, Segmented } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { useDocumentOf, usePatternIf, useWool } from '../api/queries.ts';
import { apiPath } from '../api/studio.ts';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { Choice } from '../ui/fields/Choice.tsx';
import { ChoiceFields } from '../ui/fields/ChoiceFields.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { BOOKLET_END_WORDS, missingWords } from '../words/bookletWords.ts';
import styles from './Booklet.module.css';
import { type BookletChoice, keepChoice, lastChoice } from './bookletTerms.ts';
import { ForAShop } from './ForAShop.tsx';
import { LanguageChoice } from './LanguageChoice.tsx';
import { BookletFields } from './BookletFields.tsx';
import { PdfPreview } from './PdfPreview.tsx';

/** A pattern as a booklet: chosen by what it is for, seen as it will print. Of the draft, or a revision (`?revision=ID`). */
export function BookletPage() {
  const { id = '' } = useParams();
  const [params] = useSearchParams();
  const { data: stored } = usePatternIf(id);
  const [revisionId, setRevision] = useState<string | null>(params.get('revision'));
  const found = useDocumentOf(id, revisionId);
  const shelf = useWool();
  const error = found.error ?? shelf.error;
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!found.document || !shelf.isReady || !stored) return <Loading error={error} />;
  return (
    <Papers
      id={id}
      document={found.document}
      wool={shelf.wool}
      revisionId={revisionId}
      newest={stored.revision ?? null}
      onRevision={setRevision}
    />
  );
}

interface PapersProps {
  id: string;
  document: Pattern;
  wool: Wool;
  revisionId: string | null;
  newest: { readonly id: string; readonly number: number } | null;
  onRevision: (revisionId: string | null) => void;
}

function Papers({ id, document, wool, revisionId, newest, onRevision }: PapersProps) {
  const [choice, setChoice] = useState(() => lastChoice(id));
  const [choices, setChoices] = useState<Choices>(NO_CHOICES);
  const [percent, setPercent] = useState(100);
  const [isLeftHanded, setLeft] = useState(false);
  const [language, setLanguage] = useState<string | null>(null);
  const change = (next: BookletChoice) => {
    setChoice(next);
    keepChoice(id, next);
  };
  const query = new URLSearchParams({
    terms: JSON.stringify(choice.terms),
    ...(revisionId !== null && { revision: revisionId }),
    ...(!isEqual(choices, NO_CHOICES) && { choices: JSON.stringify(choices) }),
    ...(percent !== 100 && { size: String(percent / 100) }),
    ...(isLeftHanded && { left: 'true' }),
    ...(language !== null && { language }),
  }).toString();
  const at = (form: string) => apiPath(`/patterns/${id}/booklet/${form}?${query}`);
  const build = useMemo(() => resolveBuild(document, choices), [document, choices]);
  const missing = useMemo(() => missingInBooklet(build, choice.terms), [build, choice.terms]);
  return (
    <main className={styles.page}>
      <section className={`sheet ${styles.choices}`} aria-label="How it is set">
        <Link to={`/patterns/${id}`}>← back to writing</Link>
        <h1>{document.title}</h1>
        <p className="quiet">A booklet, chosen by what it is for.</p>
        <Segmented<BookletEnd>
          block
          aria-label="What it is for"
          value={choice.end}
          options={BOOKLET_ENDS.map((end) => ({ value: end, label: BOOKLET_END_WORDS[end] }))}
          onChange={(end) => change({ end, terms: BOOKLET_TERMS[end] })}
        />
        <div className={styles.ways}>
          <Button type="primary" href={at('pdf')} download>
            Save as PDF
          </Button>
          <Button href={at('html')} download>
            Save as one page of HTML
          </Button>
          <Button href={at('epub')} download>
            Save as EPUB
          </Button>
        </div>
        {missing.length > 0 && (
          <ul className={styles.missing} aria-label="What is missing in it">
            {missing.map((each) => (
              <li key={each.kind}>{missingWords(each)}</li>
            ))}
          </ul>
        )}
        <h2>Which</h2>
        <LanguageChoice patternId={id} language={language} onLanguage={setLanguage} />
        {newest && (
          <Choice<string>
            label="Of what"
            value={revisionId}
            words={{ [newest.id]: `revision ${newest.number}, as it was published` }}
            none="the draft, as it is written now"
            onChoose={onRevision}
          />
        )}
        <ChoiceFields pattern={document} choices={choices} onChoose={setChoices} />
        <div className={styles.fields}>
          <NumberField<number>
            label="Size"
            value={percent}
            bounds={{ min: RESIZE_BOUNDS.min * 100, max: RESIZE_BOUNDS.max * 100 }}
            suffix="%"
            onValue={setPercent}
          />
          <Checkbox checked={isLeftHanded} onChange={({ target: { checked } }) => setLeft(checked)}>
            for the left hand
          </Checkbox>
        </div>
        <BookletFields terms={choice.terms} onTerms={(terms) => change({ ...choice, terms })} />
        <h2>Drawings</h2>
        <div className={styles.ways}>
          <Button href={apiPath(`/patterns/${id}/drawing/figure?${query}`)} download>
            Figure as SVG
          </Button>
          <Button href={apiPath(`/patterns/${id}/drawing/pieces?${query}`)} download>
            Pieces as SVG
          </Button>
        </div>
        <ForAShop build={build} wool={wool} at={at} />
      </section>
      <PdfPreview key={id} url={at('pdf')} title={document.title} />
    </main>
  );
}
