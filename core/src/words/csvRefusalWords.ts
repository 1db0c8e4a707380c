import type { CsvRefusal } from '../tables/index.ts';

/** Why a file is not read at all, what was kept, and what to do. */
export function csvRefusalWords(refusal: CsvRefusal): string {
  switch (refusal.code) {
    case 'file_too_large':
      return (
        `The file is ${Math.round(refusal.sizeBytes / 1e6)} MB; a list of up to ` +
        `${Math.round(refusal.limitBytes / 1e6)} MB can be read. Nothing was imported: split it.`
      );
    case 'file_empty':
      return 'The file has no rows. Nothing was imported.';
    case 'not_text':
      return 'This is not a list in CSV: it may be a spreadsheet or a picture. Save it as CSV and choose that.';
    case 'too_many_rows':
      return `${refusal.rows} rows; up to ${refusal.limit} can be read at once. Nothing was imported: split the file.`;
    case 'columns_missing':
      return (
        `This does not look like a list of ${refusal.kind}: there is no column ` +
        `${refusal.missing.map((column) => `“${column}”`).join(', ')}. ` +
        (refusal.looksLike === null
          ? `The first line should name the columns; it reads “${refusal.header.slice(0, 6).join(', ')}”.`
          : `It looks like ${refusal.looksLike}: choose that above.`)
      );
  }
}
