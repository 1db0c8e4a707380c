import { Select } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useTranslations } from '../api/translations.ts';
import { Choice } from '../ui/fields/Choice.tsx';
import styles from './Booklet.module.css';
import { COMMON_LANGUAGES, isLanguageCode, languageName } from './languageNames.ts';

interface LanguageChoiceProps {
  patternId: string;
  /** Null: as it is written. */
  language: string | null;
  onLanguage: (language: string | null) => void;
}

/** In which language the booklet is set, what that lacks, and how to translate into another. */
export function LanguageChoice({ patternId, language, onLanguage }: LanguageChoiceProps) {
  const navigate = useNavigate();
  const lines = useTranslations(patternId).data?.items ?? [];
  const nameOf = (code: string) => languageName(code) ?? code;
  const chosen = lines.find((line) => line.language === language);
  const [typed, setTyped] = useState('');
  const offered: readonly string[] = isLanguageCode(typed) ? [...new Set([...COMMON_LANGUAGES, typed])] : COMMON_LANGUAGES;
  const others = offered.filter((code) => lines.every((line) => line.language !== code));
  return (
    <div>
      {lines.length > 0 && (
        <Choice<string>
          label="In which language"
          value={language}
          words={Object.fromEntries(lines.map((line) => [line.language, nameOf(line.language)]))}
          none="as it is written"
          onChoose={onLanguage}
        />
      )}
      {chosen && (
        <p className="above-1">
          {chosen.missing + chosen.changed === 0
            ? 'All of it is translated. '
            : `${[chosen.missing > 0 ? `${chosen.missing} of ${chosen.count} texts are not translated` : '', chosen.changed > 0 ? `${chosen.changed} were changed since` : ''].filter((words) => words !== '').join(', ')}: they stay as written. `}
          <Link to={`/patterns/${patternId}/translations/${chosen.language}`}>Go on translating</Link>
        </p>
      )}
      <Select<string>
        className={`above-1 ${styles.whole}`}
        showSearch={{ optionFilterProp: 'label', onSearch: (text) => setTyped(text.trim()) }}
        aria-label="Translate into another language"
        placeholder="Translate into another language…"
        value={null}
        options={others.map((code) => ({ value: code, label: `${nameOf(code)} (${code})` })).toSorted((a, b) => a.label.localeCompare(b.label, 'en'))}
        onChange={(code) => void navigate(`/patterns/${patternId}/translations/${code}`)}
      />
    </div>
  );
} // prettier-ignore
