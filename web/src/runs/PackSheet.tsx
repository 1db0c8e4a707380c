import {
  type Fibre,
  lotsPackedFrom,
  type PortionLine,
  type RunInput,
  type Seat,
  seatsOf,
} from '@lanakit/core';
import { BAG_WORDS, ownerName } from '../words/ownerWords.ts';
import { PREPARATION_WORDS, showLikely, showWeighed } from '../words/show.ts';
import { groupTitle } from './groupWords.ts';
import { PaperPage } from './PaperPage.tsx';
import styles from './Sheets.module.css';
import { seatFindings } from './seatFindings.ts';
import type { Planned } from './useRunPlan.ts';

/** One slip a pack, to cut apart and put in: by seat, then the spares. */
export function PackSheet() {
  return (
    <PaperPage title="Packs, seat by seat">
      {(runPlan, input) => (
        <div className={styles.slips}>
          {slipsOf(runPlan, input).map(({ key, ...slip }) => (
            <Slip key={key} {...slip} runPlan={runPlan} input={input} />
          ))}
        </div>
      )}
    </PaperPage>
  );
}

interface OneSlip {
  readonly key: string;
  readonly name: string;
  readonly groupKey: string;
  readonly seat: Seat | null;
}

function slipsOf({ groups }: Planned, input: RunInput): OneSlip[] {
  const seats = seatsOf(input).map((seat): OneSlip => ({
    key: `seat ${seat.seat}`,
    name: seat.name.trim() === '' ? `Seat ${seat.seat}` : `${seat.seat} · ${seat.name.trim()}`,
    groupKey: groups.find((group) => group.seats.includes(seat.seat))?.key ?? '',
    seat,
  }));
  const spares = groups.flatMap(({ key, spares: count }) =>
    Array.from({ length: count }, (_, at): OneSlip => ({
      key: `spare ${key} ${at}`,
      name: `Spare ${at + 1}`,
      groupKey: key,
      seat: null,
    })),
  );
  return [...seats, ...spares];
}

interface SlipProps extends Omit<OneSlip, 'key'> {
  runPlan: Planned;
  input: RunInput;
}

function Slip({ name, groupKey, seat, runPlan, input }: SlipProps) {
  const { shelf, revision } = runPlan;
  const group = runPlan.groups.find(({ key }) => key === groupKey);
  const plan = runPlan.plan.groups.find(({ key }) => key === groupKey)?.plan;
  const owners = (lines: readonly PortionLine[]) =>
    [...new Set(lines.map((line) => ownerName(line.owner, revision.document)))].join(', ');
  if (!plan || !group) return null;
  const told = seat
    ? [
        seat.isLeftHanded ? 'left-handed: wraps run the other way' : '',
        seat.note,
        ...seatFindings(seat, runPlan),
      ]
    : [];
  return (
    <section className={styles.slip}>
      <h2>{name}</h2>
      <p className={styles.slipWhat}>
        {revision.document.title}, revision {revision.number}
        {runPlan.groups.length > 1 && <b>: {groupTitle(revision.document, group)}</b>}
        {told
          .filter((words) => words !== '')
          .map((words) => (
            <span key={words}>
              <br />
              {words}
            </span>
          ))}
      </p>
      <table>
        <tbody>
          {plan.fibres.map((portion, index) => {
            const fibre = shelf.get(portion.fibreId);
            return (
              <tr key={portion.bag + portion.fibreId}>
                <td>
                  <span className={styles.box} />
                </td>
                <td className={styles.slipNumber}>{index + 1}</td>
                <th scope="row">
                  {fibre?.name} <span>{fibre && PREPARATION_WORDS[fibre.preparation]}</span>
                  <small>
                    {BAG_WORDS[portion.bag] && <b>{BAG_WORDS[portion.bag]}: </b>}
                    {owners(portion.lines)}
                  </small>
                  {notesOf(fibre, portion.classG).map((note) => (
                    <small key={note}>{note}</small>
                  ))}
                </th>
                <td className={styles.slipGrams}>
                  {portion.packG === null
                    ? showLikely(portion.exactG)
                    : showWeighed(portion.packG, input.scaleStepG)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** What is to be known of the lots it is packed from. */
const notesOf = (fibre: Fibre | undefined, massG: number): string[] =>
  lotsPackedFrom(fibre?.lots ?? [], massG)
    .map(({ note }) => note)
    .filter((note) => note !== '');
