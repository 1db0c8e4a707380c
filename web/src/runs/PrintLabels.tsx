import type { PrinterInfo } from '@lanakit/core/api';
import type { PrinterLabel } from '@lanakit/core/labelling';
import { labelsInSize, type Paper, qrSvg, ROLL_SIZES, sizeForLabels } from '@lanakit/core/papers';
import type { LabelSheet } from '@lanakit/core/run';
import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import { actOnPrinter, giveUpPrinting, type LabelJob, printLabels } from '../api/mutations/labelling.ts';
import { perform } from '../api/mutations/mutation.ts';
import { usePrinters } from '../api/queries.ts';
import { useServerEvents } from '../api/useServerEvents.ts';
import { useAttempt } from '../shell/useAttempt.ts';
import { Field } from '../ui/fields/Field.tsx';
import { counted } from '../words/show.ts';
import styles from './PrintLabels.module.css';

interface PrintLabelsProps {
  runId: string;
  paper: Paper;
  sheet: LabelSheet;
  isSheetWrong: boolean;
}

const [ALL, SHEETS] = ['all', 'sheets'];

/** Labels straight to a printer: one, or all, off a roll or as the sheets beside this. */
export function PrintLabels({ runId, paper, sheet, isSheetWrong }: PrintLabelsProps) {
  const { data } = usePrinters();
  const attempt = useAttempt();
  const [printerId, setPrinterId] = useState<string | null>(null);
  const [which, setWhich] = useState<string>(ALL ?? '');
  const best = useMemo(() => sizeForLabels(paper), [paper]);
  const [on, setOn] = useState<string | null>(null);
  const printer = usePrinter(printerId ?? data?.items[0]?.id ?? null);
  if (!data || !best || paper.labels.length === 0) return null;
  const bestKey = keyOf(best);
  const as = on ?? bestKey;
  const job = (): LabelJob => ({
    runId,
    codes: which === ALL ? null : [which],
    on:
      as === SHEETS
        ? { as: 'sheets', sheet }
        : { as: 'roll', size: ROLL_SIZES.find((size) => keyOf(size) === as) ?? best },
  });
  const print = () =>
    void attempt(async () => {
      if (printer) await perform(printLabels(printer.id, job()));
      return undefined;
    });
  return (
    <section className={`sheet ${styles.print} no-print`} aria-label="Print labels">
      <h2>To a label printer</h2>
      <Field label="Printer">
        {(control) => (
          <Select
            {...control}
            className="wide"
            value={printer?.id ?? null}
            onChange={setPrinterId}
            options={data.items.map(({ id, name }) => ({ value: id, label: name }))}
          />
        )}
      </Field>
      <Field label="On">
        {(control) => (
          <Select
            {...control}
            className="wide"
            value={as}
            onChange={setOn}
            options={[
              ...ROLL_SIZES.map((size) => ({
                value: keyOf(size),
                label: `${size.widthMm} × ${size.heightMm} mm, ${counted(labelsInSize(paper, size), 'label')}${keyOf(size) === bestKey ? ': the smallest that does' : ''}`,
              })),
              { value: SHEETS, label: 'the sheets beside this', disabled: isSheetWrong },
            ]}
          />
        )}
      </Field>
      <Field label="Which">
        {(control) => (
          <Select
            {...control}
            className="wide"
            showSearch
            optionFilterProp="label"
            value={which}
            onChange={setWhich}
            options={[
              { value: ALL, label: `all ${paper.labels.length} bags` },
              ...paper.labels.flatMap(({ code, title, bag }) =>
                code === '' ? [] : [{ value: code, label: bag === '' ? title : `${title}, ${bag}` }],
              ),
            ]}
          />
        )}
      </Field>
      <Button type="primary" disabled={!printer} onClick={print}>
        Print
      </Button>
      {printer && <Standing printer={printer} />}
      {printer?.kind === 'simulated' && <PlayPrinter printer={printer} />}
    </section>
  );
}

const keyOf = ({ widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number }): string =>
  `${widthMm}x${heightMm}`;

/** As it tells of itself. */
function usePrinter(id: string | null): PrinterInfo | null {
  const [shown, setShown] = useState<PrinterInfo | null>(null);
  useServerEvents<PrinterInfo>(id === null ? null : `/printers/${id}/state`, { onEvent: setShown });
  return shown?.id === id ? shown : null;
}

function Standing({ printer: { id, state, waiting } }: { printer: PrinterInfo }) {
  const attempt = useAttempt();
  const words = !state.isHere
    ? 'It says nothing: unplugged, or switched off. What waits is printed when it is back.'
    : state.trouble === 'out'
      ? 'Out of labels. Put some in: it goes on with what waits.'
      : state.trouble === 'jam'
        ? 'Jammed. Clear it: it goes on with what waits.'
        : waiting > 0
          ? 'Printing.'
          : 'Ready.';
  return (
    <p role="status" className={state.isHere && state.trouble === null ? '' : 'amber'}>
      {words} {waiting > 0 && `${counted(waiting, 'piece')} to print.`}{' '}
      {state.left !== null && `${state.left} left in it.`}{' '}
      {waiting > 0 && (
        <Button
          size="small"
          onClick={() =>
            void attempt(async () => {
              await perform(giveUpPrinting(id));
              return undefined;
            })
          }
        >
          Give up the rest
        </Button>
      )}
    </p>
  );
}

/** Hands on a printer that is not there, and what lies in its tray. */
function PlayPrinter({ printer: { id, state, tray } }: { printer: PrinterInfo }) {
  const attempt = useAttempt();
  const act = (what: Parameters<typeof actOnPrinter>[1]) =>
    void attempt(async () => {
      await perform(actOnPrinter(id, what));
      return undefined;
    });
  return (
    <>
      <div className={styles.play} role="group" aria-label="Play the simulated printer">
        <span className="quiet small">Simulated:</span>
        <Button size="small" onClick={() => act({ act: 'load', pieces: 100 })}>
          Put in 100
        </Button>
        <Button size="small" onClick={() => act({ act: 'load', pieces: 3 })}>
          Leave 3
        </Button>
        <Button size="small" onClick={() => act({ act: state.trouble === 'jam' ? 'clear' : 'jam' })}>
          {state.trouble === 'jam' ? 'Clear the jam' : 'Jam it'}
        </Button>
        <Button size="small" onClick={() => act({ act: state.isHere ? 'unplug' : 'plug' })}>
          {state.isHere ? 'Unplug' : 'Plug in'}
        </Button>
        <Button size="small" disabled={tray.length === 0} onClick={() => act({ act: 'empty-tray' })}>
          Empty the tray
        </Button>
      </div>
      {tray.length > 0 && (
        <>
          <h3>In its tray: {counted(tray.length, 'piece')}</h3>
          <ol className={styles.tray} tabIndex={0} aria-label="In its tray">
            {tray.slice(0, MOST_SHOWN).map((piece) => (
              <li key={piece.id} style={{ aspectRatio: `${piece.widthMm} / ${piece.heightMm}` }}>
                {piece.labels.map((label, at) => (
                  <Printed key={at} label={label} isAlone={piece.labels.length === 1} />
                ))}
              </li>
            ))}
          </ol>
        </>
      )}
    </>
  );
}

const MOST_SHOWN = 12;

/** As it came out. */
function Printed({ label, isAlone }: { label: PrinterLabel; isAlone: boolean }) {
  return (
    <div className={isAlone ? styles.label : styles.small}>
      <b>{label.title}</b>
      {label.bag && <i>{label.bag}</i>}
      {isAlone && (
        <>
          {label.lines.map(({ amount, text, colour }, at) => (
            <span key={at}>
              {colour && <span className={styles.colour} style={{ background: colour }} />}
              {text} <b>{amount}</b>
            </span>
          ))}
          {label.notes.map((note) => (
            <small key={note}>{note}</small>
          ))}
          {label.code && (
            <img alt={`code ${label.code}`} src={`data:image/svg+xml;utf8,${encodeURIComponent(qrSvg(label.code))}`} />
          )}
        </>
      )}
    </div>
  );
} // prettier-ignore
