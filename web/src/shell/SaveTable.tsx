import { Button } from 'antd';
import { fileFor } from '../api/client.ts';
import { saveFile, saveText } from '../ui/saveText.ts';
import { useAttempt } from './useAttempt.ts';

interface SaveTableProps {
  /** Of the file, without its ending. */
  name: string;
  /** As CSV, as it is now. */
  table: () => string;
}

/** A table that is shown, as a file: CSV, or a workbook of the same. */
export function SaveTable({ name, table }: SaveTableProps) {
  const attempt = useAttempt();
  return (
    <>
      <Button size="small" onClick={() => saveText(`${name}.csv`, table())}>
        As a table (CSV)
      </Button>{' '}
      <Button size="small" onClick={() => void attempt(() => saveWorkbook(name, table()))}>
        As a workbook
      </Button>
    </>
  );
}

/** @throws ApiProblem, Unreachable */
export async function saveWorkbook(name: string, csv: string): Promise<undefined> {
  saveFile(`${name}.xlsx`, await fileFor('/tables/xlsx', { name, csv }));
  return undefined;
}
