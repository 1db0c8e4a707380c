import { ChoiceFields } from '../../ui/fields/ChoiceFields.tsx';
import { useTable } from '../table/tableContext.ts';

/** Which build is looked at: everything beside and below follows it. */
export function ChoicesBar() {
  const document = useTable((table) => table.document);
  const choices = useTable((table) => table.choices);
  const setChoices = useTable((table) => table.setChoices);
  return <ChoiceFields pattern={document} choices={choices} onChoose={setChoices} />;
}
