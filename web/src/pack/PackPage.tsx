import type { PackReading } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import type { Packed } from '@lanakit/core/papers';
import { Button, Input } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import { errorWords, send, Unreachable } from '../api/client.ts';
import { makeNotes, makeWords } from '@lanakit/core/words';
import { ReadingSheet } from '../reading/ReadingSheets.tsx';
import type { Sheet } from '../reading/sheet.ts';
import { StepTicksContext } from '../reading/stepTicks.ts';
import { Field } from '../ui/fields/Field.tsx';
import { showDay } from '../words/show.ts';
import { useDoneSteps } from './doneSteps.ts';
import { HandUp } from './HandUp.tsx';
import { packCodeHere, rememberPackCode } from './packCode.ts';
import styles from './PackPage.module.css';

/** A learner’s phone: the pattern of one pack by its code, ticked along, and nothing else of the studio. */
export function PackPage() {
  const [code, setCode] = useState(packCodeHere);
  const [reading, setReading] = useState<PackReading | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [isAsking, setAsking] = useState(false);
  const open = async (asked: string) => {
    setAsking(true);
    setProblem(null);
    try {
      await send('POST', '/session/pack', { body: { code: asked } });
      setReading(await send<PackReading>('GET', '/pack'));
      rememberPackCode(asked);
    } catch (error) {
      if (!(error instanceof Unreachable)) rememberPackCode(null);
      setProblem(errorWords(error));
    }
    setAsking(false);
  };
  useEffect(() => {
    if (code !== '') void open(code);
    // Only what it came with; what is typed is sent by a press.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  if (reading)
    return (
      <OfPack
        reading={reading}
        code={code}
        onLeave={() => {
          void send('DELETE', '/session').catch(() => undefined);
          rememberPackCode(null);
          window.history.replaceState(null, '', window.location.pathname);
          setCode('');
          setReading(null);
        }}
      />
    );
  return (
    <main className={styles.ask}>
      <form
        className={`sheet ${styles.form}`}
        onSubmit={(event) => {
          event.preventDefault();
          void open(code);
        }}
      >
        <h1>Your pattern</h1>
        <p>On your pack there is a code of ten signs. It opens the pattern as you make it.</p>
        <Field label="Code of the pack" problem={problem}>
          {(control) => (
            <Input
              {...control}
              autoFocus
              size="large"
              className={styles.code ?? ''}
              value={code}
              maxLength={20}
              autoComplete="off"
              spellCheck={false}
              status={problem ? 'error' : ''}
              onChange={(event) => setCode(event.target.value)}
            />
          )}
        </Field>
        <Button type="primary" size="large" htmlType="submit" disabled={code.trim() === '' || isAsking}>
          Open it
        </Button>
      </form>
    </main>
  );
}

interface OfPackProps {
  reading: PackReading;
  code: string;
  onLeave: () => void;
}

function OfPack({ reading, code, onLeave }: OfPackProps) {
  const ticks = useDoneSteps(code);
  const wool = useMemo(() => woolOf(reading), [reading]);
  const sheet = useMemo(() => sheetOf(reading), [reading]);
  const total = reading.build.steps.length;
  const done = reading.build.steps.filter(({ id }) => ticks.isDone(id)).length;
  return (
    <main className={styles.page}>
      <header className={`sheet ${styles.bar} no-print`}>
        <p>
          <b>{reading.className}</b>
          <span className="quiet small">
            seat {reading.number}, open until {showDay(reading.until)}
          </span>
        </p>
        <p className={styles.done} role="status">
          <b>{done}</b> of {total}
          <span className="quiet small">steps done</span>
        </p>
        <HandUp />
        <Button size="small" onClick={onLeave}>
          Put away
        </Button>
      </header>
      <StepTicksContext value={ticks}>
        <ReadingSheet sheet={sheet} wool={wool} reader="kit" view="all" />
      </StepTicksContext>
    </main>
  );
}

const woolOf = ({ fibres, findings, handMeasures, learnt }: PackReading): Wool => ({
  fibres: new Map(fibres.map((fibre) => [fibre.id, fibre])),
  findings: new Map(findings.map((finding) => [finding.id, finding])),
  handMeasures,
  learnt,
});

function sheetOf(reading: PackReading): Sheet {
  const { whole, build, packed } = reading;
  const inPack: Packed = { ...packed, bagOf: new Map(packed.bagOf), spares: new Map(packed.spares) };
  return {
    key: 'pack',
    whole,
    build,
    what: [...makeWords(whole, reading), `revision ${reading.revisionNumber}`].join(' · '),
    notes: makeNotes(build, reading),
    packed: inPack,
  };
}
