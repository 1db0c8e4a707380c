import { BUYING_BOUNDS, type BuyingTerms, checkBuyingTerms } from '@lanakit/core/buying';
import { problemWords } from '@lanakit/core/words';
import { Button, Checkbox, Modal } from 'antd';
import { useState } from 'react';
import { saveBuyingTerms } from '../api/mutations/buying.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { DayField } from '../ui/fields/DayField.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import styles from './BuyingPage.module.css';

const DAYS = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;

/** When the maker works, and how long what she makes is on its way. */
export function TermsDialog({ terms, onClose }: { terms: BuyingTerms; onClose: () => void }) {
  const [input, setInput] = useState(terms);
  const attempt = useAttempt();
  const problems = checkBuyingTerms(input);
  const problemAt = (pointer: string) => {
    const problem = problems.find((found) => found.pointer === pointer);
    return problem ? problemWords(problem) : null;
  };
  const set = (more: Partial<BuyingTerms>) => setInput((before) => ({ ...before, ...more }));
  const save = () =>
    attempt(async () => {
      await perform(saveBuyingTerms(input));
      onClose();
      return undefined;
    });
  const setHoliday = (at: number, more: Partial<BuyingTerms['holidays'][number]>) =>
    set({
      holidays: input.holidays.map((holiday, index) => (index === at ? { ...holiday, ...more } : holiday)),
    });
  return (
    <Modal
      open
      title="My days and hours"
      okText="Keep"
      okButtonProps={{ disabled: problems.length > 0 }}
      onOk={() => void save()}
      onCancel={onClose}
    >
      <div className={styles.terms}>
        <NumberField
          label="Hours a day at the table"
          value={input.hoursADay}
          bounds={BUYING_BOUNDS.hoursADay}
          suffix="h"
          onValue={(hoursADay) => set({ hoursADay })}
        />
        <NumberField
          label="Goods there before they are needed"
          value={input.marginDays}
          bounds={BUYING_BOUNDS.marginDays}
          suffix="days"
          onValue={(marginDays) => set({ marginDays })}
        />
        <NumberField
          label="Kits on their way"
          value={input.postDays}
          bounds={BUYING_BOUNDS.postDays}
          suffix="days"
          onValue={(postDays) => set({ postDays })}
        />
      </div>
      <fieldset className="plain-fieldset">
        <legend>Days without work</legend>
        <Checkbox.Group
          value={[...input.restDays]}
          options={DAYS.map((label, value) => ({ label, value }))}
          onChange={(restDays) => set({ restDays: restDays.slice(0, 6) })}
        />
      </fieldset>
      <fieldset className="plain-fieldset">
        <legend>Holidays</legend>
        {input.holidays.map((holiday, at) => (
          <div key={at} className={styles.holiday}>
            <DayField
              label={`First day of holiday ${at + 1}`}
              day={holiday.from}
              problem={holiday.from === '' ? null : problemAt(`/holidays/${at}/from`)}
              onDay={(from) => setHoliday(at, { from: from ?? '' })}
            />
            <DayField
              label={`Last day of holiday ${at + 1}`}
              day={holiday.to}
              problem={holiday.to === '' ? null : problemAt(`/holidays/${at}/to`)}
              onDay={(to) => setHoliday(at, { to: to ?? '' })}
            />
            <Button
              size="small"
              type="text"
              onClick={() => set({ holidays: input.holidays.filter((_, index) => index !== at) })}
            >
              Take out
            </Button>
          </div>
        ))}
        <Button
          size="small"
          onClick={() => set({ holidays: [...input.holidays, { from: '', to: '', name: '' }] })}
        >
          Add a holiday
        </Button>
      </fieldset>
    </Modal>
  );
}
