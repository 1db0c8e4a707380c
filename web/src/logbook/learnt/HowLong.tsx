import type { LearningState } from '@lanakit/core/api';
import { setHalfLife } from '../../api/mutations/logbook.ts';
import { perform } from '../../api/mutations/mutation.ts';
import { useAttempt } from '../../shell/useAttempt.ts';
import { Choice } from '../../ui/fields/Choice.tsx';

const MONTHS: Readonly<Record<string, string>> = {
  6: 'half after six months',
  12: 'half after a year',
  24: 'half after two years',
};

/** For how long a weighing counts: hands change. */
export function HowLong({ state }: { state: LearningState }) {
  const attempt = useAttempt();
  const choose = (months: string | null) =>
    void attempt(async () => {
      await perform(setHalfLife(months === null ? null : Number(months)));
      return undefined;
    });
  return (
    <Choice<string>
      label="How much an old weighing counts"
      className="control-xl"
      value={state.halfLifeMonths === null ? null : String(state.halfLifeMonths)}
      words={MONTHS}
      none="as much as a new one"
      onChoose={choose}
    />
  );
}
