import { ChoiceFields } from '../../ui/fields/ChoiceFields.tsx';
import { useTable } from '../table/tableContext.ts';

/** Which build is looked at: everything beside and below follows it. */
export function ChoicesBar() {
  const { draft, choices, setChoices } = useTable();
  return <ChoiceFields pattern={draft.document} choices={choices} onChoose={setChoices} />;
}
