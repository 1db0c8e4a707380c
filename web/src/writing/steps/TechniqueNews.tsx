import type { Pattern, TechniqueUse } from '@lanakit/core/pattern';
import { takeNewest, type Technique, techniqueChanges } from '@lanakit/core/writing';
import { Button } from 'antd';
import { useState } from 'react';
import { useTechniques, useTechniqueVersion } from '../../api/queries.ts';
import { become } from '../../draft/become.ts';
import { useTable } from '../table/tableContext.ts';
import { plainText } from '../../draft/markdownEdits.ts';
import styles from './Steps.module.css';

/** Techniques used here of which there is a newer version: each is shown, and taken or left, by itself. */
export function TechniqueNews() {
  const tableTechniques = useTable((table) => table.document.techniques);
  const techniques = useTechniques().data?.items ?? [];
  return (
    <>
      {tableTechniques.map((use) => {
        const newest = techniques.find(({ id }) => id === use.techniqueId);
        return newest && newest.version > use.version ? (
          <OneNews key={use.id} use={use} newest={newest} />
        ) : null;
      })}
    </>
  );
}

function OneNews({ use, newest }: { use: TechniqueUse; newest: Technique }) {
  const document = useTable((table) => table.document);
  const edit = useTable((table) => table.edit);
  const [isOpen, setOpen] = useState(false);
  const { data: was } = useTechniqueVersion(use.techniqueId, use.version);
  const changes = techniqueChanges(document, use, newest, was ?? null);
  const names = document.parts.flatMap(({ id, name }) => (use.partIds.includes(id) ? [name] : []));
  return (
    <div className={styles.bar} role="group" aria-label={`News of ${newest.name}`}>
      <span>
        <b>{newest.name}</b>
        {names.length > 0 && ` for ${names.join(', ')}`} has version {newest.version}; this is version{' '}
        {use.version}.
      </span>
      <span>
        <Button size="small" onClick={() => setOpen(!isOpen)} aria-expanded={isOpen}>
          What changes
        </Button>{' '}
        <Button
          size="small"
          type="primary"
          onClick={() =>
            edit(
              `the newest ${newest.name}`,
              become<Pattern>((pattern) => takeNewest(pattern, use.id, newest)),
            )
          }
        >
          Take it
        </Button>
      </span>
      {isOpen && (
        <ul className="flush whole-row">
          {changes.length === 0 && <li>Nothing that is written here.</li>}
          {changes.map(({ kind, index, before, after, isOwnEdit }) => (
            <li key={index}>
              {kind === 'added' ? 'new: ' : kind === 'removed' ? 'gone: ' : ''}
              {before !== null && before !== after && <del>{plainText(before)}</del>}{' '}
              {after !== null && plainText(after)}
              {before === after && ' · its needle, time or checks'}
              {isOwnEdit && <span className="amber"> · you changed this step; taking it undoes that</span>}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}
