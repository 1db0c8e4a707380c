import { type SharpNow, sharpsNow, type TipNow } from '@lanakit/core/classDay';
import { trayTotals } from '@lanakit/core/needles';
import { needleName } from '@lanakit/core/shelf';
import { Button, Input, Select } from 'antd';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { Link } from 'react-router';
import { useNeedles, useTray } from '../../api/queries.ts';
import { Field } from '../../ui/fields/Field.tsx';
import { useTrayActions } from '../useTrayActions.ts';
import styles from './Class.module.css';
import { clockAt } from '../../words/classWords.ts';
import type { Teaching } from './teaching.ts';

/** What is sharp or hot: out and in, on and off; a broken tip stays told until it is found. */
export function Sharps({ teaching }: { teaching: Teaching }) {
  const { here, run } = teaching;
  const state = sharpsNow(here.day.plan, here.events);
  const tray = useTray(run.id);
  const needlesOut = tray.data && trayTotals(tray.data.lines).stillOut;
  return (
    <>
      <Tips tips={state.tips} teaching={teaching} />
      <section className={`sheet ${styles.side}`} aria-label="Out and in">
        <div className={styles.sharpLine}>
          <b>Needles</b>
          <span>{needlesOut === undefined ? 'not read yet' : `${needlesOut} still out`}</span>
          <Link to={`/runs/${run.id}/tray`}>Count needles</Link>
        </div>
        {state.sharps.map((line) => (
          <SharpLine key={line.sharp.key} line={line} teaching={teaching} />
        ))}
        {state.sharps.length === 0 && (
          <p className="quiet">No step of this class takes anything sharp or hot beside needles.</p>
        )}
        <p className="quiet small">
          Cut ends of wire into a tin, not onto a table; blades closed when they lie; whatever is hot stands
          where nobody reaches over it. The rules of your place and of the venue go before this.
        </p>
      </section>
    </>
  );
}

function SharpLine({ line, teaching }: { line: SharpNow; teaching: Teaching }) {
  const { sharp, out, stillOut, isOn, onSince } = line;
  const { here, clock } = teaching;
  const count = (pile: 'out' | 'in', amount: number) =>
    here.act({ act: 'sharp', key: sharp.key, pile, amount });
  const rest = sharp.wanted === null ? 0 : sharp.wanted - out;
  return (
    <div className={styles.sharpLine} role="group" aria-label={sharp.name}>
      <b>{sharp.name}</b>
      <span className={stillOut > 0 ? 'amber' : ''}>
        {out === 0 ? `none out${sharp.wanted === null ? '' : ` of ${sharp.wanted}`}` : `${stillOut} of ${out} out`}
      </span>
      <span className={styles.buttons}>
        {rest > 1 && <Button size="large" onClick={() => count('out', rest)}>All {rest} out</Button>}
        <Button size="large" aria-label={`One out: ${sharp.name}`} onClick={() => count('out', 1)}>1 out</Button>
        <Button size="large" aria-label={`One in: ${sharp.name}`} disabled={stillOut === 0} onClick={() => count('in', 1)}>1 in</Button>
        {stillOut > 1 && <Button size="large" onClick={() => count('in', stillOut)}>All {stillOut} in</Button>}
        {sharp.isHot && (
          <Button size="large" type={isOn ? 'primary' : 'default'} danger={isOn} aria-pressed={isOn} onClick={() => here.act({ act: 'heat', key: sharp.key, isOn: !isOn })}>
            {isOn ? `Hot since ${clockAt(clock(onSince ?? ''))}: switch off` : 'Switched on'}
          </Button>
        )}
      </span>
    </div>
  );
} // prettier-ignore

/** Broken needles: whose, which, and whether the tip is found. */
function Tips({ tips, teaching }: { tips: readonly TipNow[]; teaching: Teaching }) {
  const open = tips.filter(({ found }) => found === null);
  const found = tips.filter((tip) => tip.found !== null);
  return (
    <section className={`sheet ${styles.side} ${open.length > 0 ? styles.danger : ''}`} aria-label="Broken needles">
      {open.length > 0 && (
        <p>
          <b className="red">A tip is not found.</b> Nobody kneels or sits until it is: mats, foam, the figure, clothes, the floor with a magnet. A tip in the skin: do not dig for it, keep it still, medical help.
        </p>
      )}
      {open.map((tip) => <OpenTip key={tip.id} tip={tip} teaching={teaching} />)}
      <Broke teaching={teaching} />
      {found.map((tip) => (
        <p key={tip.id} className="quiet">
          {tipWords(tip, teaching)}: found at {clockAt(teaching.clock(tip.found?.at ?? ''))}{tip.found?.where ? `, ${tip.found.where}` : ''}.
        </p>
      ))}
    </section>
  );
} // prettier-ignore

const tipWords = ({ at, seatKey, note }: TipNow, { clock, names }: Teaching): string =>
  [`${clockAt(clock(at))}, a needle broke`, seatKey === null ? '' : `at ${names.seat(seatKey)}`, note]
    .filter((words) => words !== '')
    .join(', ');

function OpenTip({ tip, teaching }: { tip: TipNow; teaching: Teaching }) {
  const [where, setWhere] = useState('');
  return (
    <div className={styles.line}>
      <b className="red">{tipWords(tip, teaching)}</b>
      <Field label={`Where the tip of ${tipWords(tip, teaching)} was`} isLabelHidden>
        {(control) => (
          <Input {...control} size="large" value={where} maxLength={200} placeholder="where it was" onChange={(event) => setWhere(event.target.value)} />
        )}
      </Field>
      <Button size="large" type="primary" onClick={() => teaching.here.act({ act: 'tip-found', tipId: tip.id, where: where.trim() })}>
        Tip found
      </Button>
    </div>
  );
} // prettier-ignore

/** One tap says that one broke; which, whose and where may be said with it. */
function Broke({ teaching }: { teaching: Teaching }) {
  const { here, run, names } = teaching;
  const tray = useTray(run.id);
  const needles = useNeedles();
  const { tap } = useTrayActions(run.id);
  const [needleId, setNeedleId] = useState<string | null>(null);
  const [seatKey, setSeatKey] = useState<string | null>(null);
  const [note, setNote] = useState('');
  const out = tray.data?.lines.filter(({ stillOut }) => stillOut > 0) ?? [];
  const broke = () => {
    here.act({ act: 'tip', tipId: nanoid(12), seatKey, needleId, note: note.trim() });
    // What is broken does not come back in.
    if (needleId !== null) void tap(needleId, 'broken', 1);
    setNeedleId(null);
    setSeatKey(null);
    setNote('');
  };
  const nameOf = (id: string) => {
    const needle = needles.data?.items.find((each) => each.id === id);
    return needle ? needleName(needle) : 'a needle that is gone';
  };
  return (
    <div className={styles.line}>
      <Field label="Which needle">
        {(control) => (
          <Select {...control} size="large" className="wide" allowClear value={needleId} onChange={(id?: string) => setNeedleId(id ?? null)} placeholder="not said" options={out.map((line) => ({ value: line.needleId, label: nameOf(line.needleId) }))} notFoundContent="none was counted out" />
        )}
      </Field>
      <Field label="At whose seat">
        {(control) => (
          <Select {...control} size="large" className="wide" allowClear value={seatKey} onChange={(key?: string) => setSeatKey(key ?? null)} placeholder="not said" options={here.day.plan.seats.map(({ key }) => ({ value: key, label: names.seat(key) }))} />
        )}
      </Field>
      <Field label="In what">
        {(control) => <Input {...control} size="large" value={note} maxLength={200} placeholder="in the ear, in the mat" onChange={(event) => setNote(event.target.value)} />}
      </Field>
      <Button size="large" onClick={broke}>A needle broke</Button>
    </div>
  );
} // prettier-ignore
