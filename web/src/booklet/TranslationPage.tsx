import { textsOf, type Translation, type TranslationInput } from '@lanakit/core/translation';
import { Button, Input, Segmented } from 'antd';
import { useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { ApiProblem } from '../api/client.ts';
import { usePatternIf } from '../api/queries.ts';
import { useTranslation } from '../api/translations.ts';
import { apiPath } from '../api/studio.ts';
import { DraftConflict } from '../draft/DraftConflict.tsx';
import type { RecipeDraft } from '../draft/useRecipeDraft.ts';
import { SaveMark } from '../draft/SaveMark.tsx';
import { Loading } from '../shell/Loading.tsx';
import { NotFound } from '../shell/NotFound.tsx';
import { useNotice } from '../shell/Notice.tsx';
import { textPlace } from '../words/bookletWords.ts';
import { counted } from '../words/show.ts';
import { languageName } from './languageNames.ts';
import { readTranslationFile } from './readTranslationFile.ts';
import styles from './Translation.module.css';
import { useTranslationDraft } from './useTranslationDraft.ts';

/** Every text of a pattern beside what it is in another language. It saves itself; it goes out and comes in as a file. */
export function TranslationPage() {
  const { id = '', language = '' } = useParams();
  const { data, error } = useTranslation(id, language);
  const pattern = usePatternIf(id);
  if (error instanceof ApiProblem && error.problem.status === 404) return <NotFound />;
  if (!data || !pattern.data) return <Loading error={error ?? pattern.error} />;
  const { document } = pattern.data;
  const now = new Map(textsOf(document).map(({ key, source }) => [key, source]));
  return <Texts key={`${id} ${language}`} translation={data} title={document.title} now={now} />;
}

type Shown = 'all' | 'open';
type Text = Translation['texts'][number];

/** Not translated, or of words that are others by now. */
const isOpen = ({ text, source }: Text, now: string): boolean => text.trim() === '' || source !== now;

interface TextsProps {
  translation: Translation;
  title: string;
  /** Texts of the pattern as they are now, by where they stand. */
  now: ReadonlyMap<string, string>;
}

function Texts({ translation, title, now }: TextsProps) {
  const draft = useTranslationDraft(translation);
  const [shown, setShown] = useState<Shown>('all');
  const say = useNotice();
  const { language, patternId } = translation;
  const name = languageName(language) ?? language;
  const { texts } = draft.input;
  const nowOf = ({ key, source }: Text) => now.get(key) ?? source;
  // As they were when the page was opened: what is being typed does not vanish under the hand.
  const [wasOpen] = useState(
    () => new Set(texts.filter((each) => isOpen(each, nowOf(each))).map(({ key }) => key)),
  );
  const open = texts.filter((each) => isOpen(each, nowOf(each))).length;
  const bring = async (file: File) => {
    const read = await readTranslationFile(file, language);
    if (read.kind === 'not-one') return say({ text: read.message, isProblem: true });
    draft.change('Bring in a file', (input) => {
      const byKey = new Map(read.translation.texts.map((each) => [each.key, each]));
      const bySource = new Map(read.translation.words.map((each) => [each.source, each.text]));
      for (const each of input.texts) {
        const came = byKey.get(each.key);
        if (came && came.text.trim() !== '') [each.source, each.text] = [came.source, came.text];
      }
      for (const each of input.words) each.text = bySource.get(each.source) || each.text;
    });
    const came = read.translation.texts.filter(({ text }) => text.trim() !== '');
    say({ text: `Brought in: ${counted(came.length, 'text')}.`, undo: draft.undo });
    return undefined;
  };
  const set = (at: number, text: string) =>
    draft.change('Translate', (input) => {
      const each = input.texts[at];
      if (each) [each.text, each.source] = [text, nowOf(each)];
    });
  return (
    <main className={styles.page}>
      <article className={`sheet ${styles.sheet}`} aria-label={`${title} in ${name}`}>
        <Link to={`/patterns/${patternId}/papers`}>← booklet</Link>
        <header className={styles.head}>
          <h1>
            {title} in {name}
          </h1>
          <SaveMark state={draft.saveState} />
        </header>
        <p className="quiet">
          {open === 0
            ? 'Everything is translated.'
            : `${open} of ${texts.length} not translated, or said otherwise since: the booklet has them as written.`}
        </p>
        <div className={styles.ways}>
          <Segmented<Shown>
            aria-label="Which texts"
            value={shown}
            options={[
              { value: 'all', label: 'all texts' },
              { value: 'open', label: 'what is open' },
            ]}
            onChange={setShown}
          />
          <Button href={apiPath(`/patterns/${patternId}/translations/${language}/file`)} download>
            Save as a file
          </Button>
          <BringFile onFile={bring} />
        </div>
        <h2>Texts of the pattern</h2>
        <ol className={styles.texts}>
          {texts.map((each, at) => {
            const source = nowOf(each);
            if (shown === 'open' && !wasOpen.has(each.key)) return null;
            const isChanged = each.text.trim() !== '' && each.source !== source;
            return (
              <li key={each.key}>
                <div>
                  <small className="quiet">{textPlace(each.key)}</small>
                  <p lang="en">{source}</p>
                  {isChanged && <small className={styles.changed}>was: {each.source}</small>}
                </div>
                <Input.TextArea
                  aria-label={`${textPlace(each.key)}: ${source.slice(0, 60)}`}
                  lang={language}
                  autoSize={{ minRows: 1, maxRows: 10 }}
                  value={each.text}
                  maxLength={4000}
                  onChange={({ target: { value } }) => set(at, value)}
                />
              </li>
            );
          })}
        </ol>
        <PaperWords draft={draft} language={language} />
      </article>
      <DraftConflict
        what="This translation"
        draft={draft}
        inWords={(input) => counted(input.texts.filter(({ text }) => text !== '').length, 'text')}
      />
    </main>
  );
}

/** A file that was translated elsewhere. */
function BringFile({ onFile }: { onFile: (file: File) => Promise<unknown> }) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <input
        ref={input}
        type="file"
        accept=".json,application/json"
        className="visually-hidden"
        tabIndex={-1}
        aria-label="A translation file"
        onChange={({ target }) => {
          const [chosen] = target.files ?? [];
          if (chosen) void onFile(chosen);
          // The same one may be chosen again.
          target.value = '';
        }}
      />
      <Button onClick={() => input.current?.click()}>Bring in a file</Button>
    </>
  );
}

/** The same in every pattern. */
function PaperWords({ draft, language }: { draft: RecipeDraft<TranslationInput>; language: string }) {
  const set = (at: number, text: string) =>
    draft.change('Translate', (input) => {
      const word = input.words[at];
      if (word) word.text = text;
    });
  return (
    <>
      <h2>Words of the paper and the shelf</h2>
      <p className="quiet">Headings, labels, cautions. Those without another word stay English.</p>
      <ol className={styles.texts}>
        {draft.input.words.map(({ source, text }, at) => (
          <li key={source}>
            <p lang="en">{source}</p>
            <Input.TextArea
              aria-label={source}
              lang={language}
              autoSize={{ minRows: 1, maxRows: 6 }}
              value={text}
              maxLength={4000}
              onChange={({ target: { value } }) => set(at, value)}
            />
          </li>
        ))}
      </ol>
    </>
  );
}
