import { type PatternOfAnyFormat, upgradeMinutes, upgradePattern } from '@lanakit/core/pattern';
import { type RunInput, runOfToday } from '@lanakit/core/run';
import type { Database } from 'better-sqlite3';

/**
 * Documents of patterns in the fifth format, and steps of techniques whose minutes may be each repeat's. Published
 * revisions and versions keep everything but the form they are written in, so their guards are lifted for this step alone.
 */
export function right(db: Database): void {
  db.exec('DROP TRIGGER revision_is_unchangeable; DROP TRIGGER technique_version_is_unchangeable');
  for (const table of ['pattern', 'revision'] as const) {
    const rows = db.prepare<[], { id: string; document: string }>(`SELECT id, document FROM ${table}`).all();
    const write = db.prepare(`UPDATE ${table} SET document = ? WHERE id = ?`);
    for (const { id, document } of rows) {
      write.run(JSON.stringify(upgradePattern(JSON.parse(document) as PatternOfAnyFormat)), id);
    }
  }
  upgradeTechniques(db);
  upgradeRuns(db);
  db.exec(`UPDATE item SET properties = json_set(properties, '$.spares', NULL) WHERE kind = 'finding'`);
  db.exec(`
    CREATE TRIGGER revision_is_unchangeable BEFORE UPDATE ON revision
    BEGIN SELECT RAISE(ABORT, 'a published revision cannot be changed'); END;
    CREATE TRIGGER technique_version_is_unchangeable BEFORE UPDATE ON technique_version
    BEGIN SELECT RAISE(ABORT, 'a version of a technique cannot be changed'); END;
  `);
}

interface KeptRun {
  readonly input: Partial<RunInput>;
  readonly wool: { readonly findings: readonly object[] };
}

const frozenOfToday = (kept: KeptRun) => ({
  ...kept,
  input: runOfToday(kept.input),
  wool: { ...kept.wool, findings: kept.wool.findings.map((finding) => ({ spares: null, ...finding })) },
});

/** What is said of a run now was usual then; a run that counts its numbers keeps them, and only its terms are filled in. */
function upgradeRuns(db: Database): void {
  const rows = db
    .prepare<[], { id: string; document: string; frozen: string | null }>(
      'SELECT id, document, frozen FROM run',
    )
    .all();
  const write = db.prepare('UPDATE run SET document = @document, frozen = @frozen WHERE id = @id');
  const today = (document: string) => runOfToday(JSON.parse(document) as Partial<RunInput>);
  for (const { id, document, frozen } of rows) {
    const kept = frozen === null ? null : (JSON.parse(frozen) as KeptRun);
    write.run({
      id,
      document: JSON.stringify(today(document)),
      frozen: kept && JSON.stringify(frozenOfToday(kept)),
    });
  }
}

function upgradeTechniques(db: Database): void {
  const rows = db
    .prepare<[], { technique_id: string; version: number; document: string }>(
      'SELECT technique_id, version, document FROM technique_version',
    )
    .all();
  const write = db.prepare(
    'UPDATE technique_version SET document = @document WHERE technique_id = @id AND version = @version',
  );
  for (const { technique_id: id, version, document } of rows) {
    const technique = JSON.parse(document) as { steps: object[] };
    const steps = technique.steps.map(upgradeMinutes);
    write.run({ id, version, document: JSON.stringify({ ...technique, steps }) });
  }
}
