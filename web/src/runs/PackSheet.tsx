import { type Fibre, lotsPackedFrom, type PortionLine, type RunInput } from '@lanakit/core';
import { BAG_WORDS, ownerName } from '../words/ownerWords.ts';
import { PREPARATION_WORDS, showLikely, showWeighed } from '../words/show.ts';
import { PaperPage } from './PaperPage.tsx';
import styles from './Sheets.module.css';
import type { RunPlan } from './useRunPlan.ts';

/** One slip a seat, to cut apart and put in the pack. */
export function PackSheet() {
  return (
    <PaperPage title="Packs, seat by seat">
      {(runPlan, input) => (
        <div className={styles.slips}>
          {Array.from({ length: runPlan.plan.packs }, (_, index) => (
            <Slip
              key={index}
              name={index < input.seats ? `Seat ${index + 1}` : `Spare ${index - input.seats + 1}`}
              runPlan={runPlan}
              input={input}
            />
          ))}
        </div>
      )}
    </PaperPage>
  );
}

interface SlipProps {
  name: string;
  runPlan: RunPlan & { kind: 'plan' };
  input: RunInput;
}

function Slip({ name, runPlan: { plan, shelf, revision }, input }: SlipProps) {
  const owners = (lines: readonly PortionLine[]) =>
    [...new Set(lines.map((line) => ownerName(line.owner, revision.document)))].join(', ');
  return (
    <section className={styles.slip}>
      <h2>{name}</h2>
      <p className={styles.slipWhat}>
        {revision.document.title}, revision {revision.number}
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
