import { majorOf, minorOf } from '@lanakit/core/base';
import {
  type ArrivalInput,
  checkArrival,
  openOfLine,
  type Order,
  type OrderProblem,
} from '@lanakit/core/buying';
import { OFFER_BOUNDS } from '@lanakit/core/shelf';
import { problemWords } from '@lanakit/core/words';
import { Button, Checkbox, Input } from 'antd';
import { useState } from 'react';
import { takeArrivalBack, takeIn } from '../api/mutations/buying.ts';
import { perform } from '../api/mutations/mutation.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { DayField } from '../ui/fields/DayField.tsx';
import { Field } from '../ui/fields/Field.tsx';
import { NumberField } from '../ui/fields/NumberField.tsx';
import { counted } from '../words/show.ts';
import styles from './Orders.module.css';

interface ArrivalFormProps {
  order: Order;
  today: string;
  onClose: () => void;
}

const PACKS = { min: 0, max: 10_000 };

/** What came, pack by pack, and what was paid: it lies on the shelf with one press. */
export function ArrivalForm({ order, today, onClose }: ArrivalFormProps) {
  const attempt = useAttempt();
  const [input, setInput] = useState<ArrivalInput>(() => ({
    on: today,
    lines: order.lines.map(({ priceEachMinor }, line) => ({
      line,
      packs: openOfLine(order, line),
      paidEachMinor: priceEachMinor,
    })),
    lotName: '',
    isLast: false,
  }));
  const set = (more: Partial<ArrivalInput>) => setInput((before) => ({ ...before, ...more }));
  const setLine = (at: number, more: Partial<ArrivalInput['lines'][number]>) =>
    set({ lines: input.lines.map((line, index) => (index === at ? { ...line, ...more } : line)) });
  const problems = checkArrival(order, input);
  const isMore = checkArrival(order, { ...input, anyway: false }).some(({ code }) => code === 'arrived_over');
  const packs = input.lines.reduce((sum, line) => sum + line.packs, 0);
  const isShort = order.lines.some((_, line) => (input.lines[line]?.packs ?? 0) < openOfLine(order, line));
  const take = () =>
    attempt(async () => {
      const taken = await perform(takeIn(order, input));
      onClose();
      return {
        text: `${counted(packs, 'pack')} on the shelf.`,
        ...(packs > 0 && { undo: () => perform(takeArrivalBack(taken)) }),
      };
    });
  return (
    <form
      className={styles.arrival}
      aria-label="What came"
      onSubmit={(event) => {
        event.preventDefault();
        if (problems.length === 0) void take();
      }}
    >
      <ul className={styles.came}>
        {input.lines.map((line, at) => (
          <li key={line.line}>
            <span>
              <b>{order.lines[line.line]?.name}</b>{' '}
              <span className="quiet small">{openOfLine(order, line.line)} still to come</span>
            </span>
            <NumberField
              label={`Packs of ${order.lines[line.line]?.name ?? ''}`}
              isLabelHidden
              value={line.packs}
              bounds={PACKS}
              isWhole
              suffix="packs"
              problem={wordsAt(problems, `/lines/${at}/packs`)}
              onValue={(count) => setLine(at, { packs: count })}
            />
            <NumberField
              label={`Paid for each, ${order.lines[line.line]?.name ?? ''}`}
              isLabelHidden
              value={majorOf(line.paidEachMinor)}
              bounds={{ min: 0, max: majorOf(OFFER_BOUNDS.priceMinor.max) }}
              decimals={2}
              suffix="each"
              onValue={(paid) => setLine(at, { paidEachMinor: minorOf(paid) })}
            />
          </li>
        ))}
      </ul>
      {wordsAt(problems, '/lines') && <p className="red small">{wordsAt(problems, '/lines')}</p>}
      <div className={styles.facts}>
        <DayField label="Came on" day={input.on} onDay={(on) => set({ on: on ?? today })} />
        <Field label="Name of the lot">
          {(control) => (
            <Input
              {...control}
              value={input.lotName}
              maxLength={60}
              placeholder={`${order.supplierName} ${input.on}`}
              onChange={(event) => set({ lotName: event.target.value })}
            />
          )}
        </Field>
      </div>
      {isShort && (
        <Checkbox checked={input.isLast} onChange={(event) => set({ isLast: event.target.checked })}>
          Nothing more of this order will come
        </Checkbox>
      )}
      {isMore && (
        <Checkbox checked={input.anyway === true} onChange={(event) => set({ anyway: event.target.checked })}>
          More came than was ordered
        </Checkbox>
      )}
      <div className={styles.ways}>
        <Button onClick={onClose}>Leave it</Button>
        <Button type="primary" htmlType="submit" disabled={problems.length > 0}>
          {packs === 0 && input.isLast ? 'Close the order' : 'Put it on the shelf'}
        </Button>
      </div>
    </form>
  );
}

function wordsAt(problems: readonly OrderProblem[], pointer: string): string | null {
  const problem = problems.find((found) => found.pointer === pointer);
  return problem ? problemWords(problem) : null;
}
